import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { StoreLot } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { sayDay } from '../time/days'
import { Answer } from '../ui/Page'
import { stockQuery, storeQuery } from './queries'

/** What lies in the store: counted, bought, used up by what was made; combs that were taken out of hives. */
export function Store() {
  const { t } = useTranslation()
  const store = useQuery(storeQuery)
  const stock = useQuery(stockQuery)
  return (
    <>
      <Answer query={store}>
        {(page) => (
          <ul className="max-w-3xl border-t-2 border-ink">
            {page.lots.map((lot) => (
              <Lot key={lot.thing} lot={lot} operation={page.operation} />
            ))}
          </ul>
        )}
      </Answer>
      <Answer query={stock}>
        {(kept) => (
          <>
            <h2 className="mt-6 text-xl">{t('store.combs')}</h2>
            {kept.combs.length === 0 && <p className="text-ink-2">{t('store.noCombs')}</p>}
            <ul>
              {kept.combs.map((comb) => (
                <li key={comb.frame} className="flex min-h-9 gap-x-4">
                  <span className="w-40">{comb.store}</span>
                  <span className="text-ink-2">
                    {t('store.since', { day: sayDay(comb.since) })}
                  </span>
                  <Link className="underline" to={`/frames/${comb.frame}`}>
                    {t('colony.way')}
                  </Link>
                </li>
              ))}
            </ul>
            {kept.stored.length > 0 && (
              <p>
                {t('store.boxes', {
                  boxes: [...new Set(kept.stored.map((box) => box.store))].join(', '),
                  count: kept.stored.length,
                })}
              </p>
            )}
          </>
        )}
      </Answer>
    </>
  )
}

function Lot({ lot, operation }: { lot: StoreLot; operation: string }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [number, setNumber] = useState('')
  const typed = Number(number)
  const say = (what: 'counted' | 'came' | 'went') => {
    setNumber('')
    void record(`${lot.text}: ${t(`store.${what}`)} ${number}`, [
      {
        deed:
          what === 'counted'
            ? { kind: 'STORE_COUNTED', operation, thing: lot.thing, count: typed }
            : {
                kind: 'STORE_CHANGED',
                operation,
                thing: lot.thing,
                by: what === 'came' ? typed : -typed,
                why: t(`store.${what}`),
              },
      },
    ])
  }
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule py-1">
      <strong className="w-48">{lot.text}</strong>
      <span className="w-44">
        {lot.count === undefined
          ? t('store.notCounted')
          : lot.countedOn
            ? t('store.countOf', { number: lot.count, day: sayDay(lot.countedOn) })
            : String(lot.count)}
      </span>
      <input
        className="field w-24"
        type="number"
        min={0}
        max={100_000}
        step="any"
        inputMode="decimal"
        aria-label={t('store.number', { what: lot.text })}
        value={number}
        onChange={(event) => setNumber(event.target.value)}
      />
      {(['counted', 'came', 'went'] as const).map((what) => (
        <button
          key={what}
          className="act"
          disabled={number === '' || typed < 0 || (what !== 'counted' && typed === 0)}
          aria-label={t('store.say', { what: t(`store.${what}`), thing: lot.text })}
          onClick={() => say(what)}
        >
          {t(`store.${what}`)}
        </button>
      ))}
    </li>
  )
}
