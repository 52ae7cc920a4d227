import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { CagedQueen } from '../api/types'
import { hivesQuery } from '../colonies/queries'
import { useRecord } from '../outbox/useRecord'
import { HiveChoice } from '../splits/HiveChoice'
import { sayDay } from '../time/days'
import { NumberField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { bankQuery } from './queries'

/** Who waits in which cage, since when, how long at most; and how she travels. */
export function Bank() {
  const { t } = useTranslation()
  const query = useQuery(bankQuery)
  return (
    <Answer query={query}>
      {(caged) => (
        <>
          <p className="mb-3">
            <a className="act inline-flex items-center" href="/api/v1/bank/sheet.pdf">
              {t('introductions.sheet')}
            </a>
          </p>
          {caged.length === 0 && <p>{t('bank.none')}</p>}
          <ul>
            {caged.map((one) => (
              <Line key={one.id} one={one} />
            ))}
          </ul>
          <section aria-labelledby="travel" className="mt-6 max-w-xl border-y-2 border-ink py-3">
            <h2 id="travel" className="text-xl">
              {t('bank.travel')}
            </h2>
            <ul className="list-disc pl-5">
              {(['cool', 'dry', 'company', 'soon', 'sun'] as const).map((one) => (
                <li key={one}>{t(`bank.card.${one}`)}</li>
              ))}
            </ul>
          </section>
        </>
      )}
    </Answer>
  )
}

function Line({ one }: { one: CagedQueen }) {
  const { t } = useTranslation()
  const [moving, setMoving] = useState(false)
  return (
    <li className="border-b border-rule py-2">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <Link className="inline-block min-h-6 font-bold underline" to={`/queens/${one.id}`}>
          {one.code}
        </Link>
        <span>{one.stageText}</span>
        <span>
          {one.cage === undefined ? '' : t('bank.cage', { number: one.cage })}
          {one.bank && ` · ${t('bank.in', { hive: one.bank })}`}
          {one.attendants !== undefined && ` · ${t('bank.attendants', { count: one.attendants })}`}
        </span>
        <span className="text-ink-2">{t('bank.since', { day: sayDay(one.since) })}</span>
        <span className={one.over ? 'font-semibold text-crown' : ''}>
          {t('bank.latest', { day: sayDay(one.latest) })}
        </span>
        <button className="act ml-auto" onClick={() => setMoving(!moving)} aria-expanded={moving}>
          {t('bank.move', { queen: one.code })}
        </button>
        <Link className="act" to={`/introductions?view=give&queen=${one.id}`}>
          {t('bank.give', { queen: one.code })}
        </Link>
      </div>
      {one.caution && <p className="font-semibold text-crown">{one.caution}</p>}
      {moving && <Move one={one} onDone={() => setMoving(false)} />}
    </li>
  )
}

function Move({ one, onDone }: { one: CagedQueen; onDone: () => void }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const hives = useQuery(hivesQuery).data ?? []
  const [cage, setCage] = useState<number | undefined>(one.cage)
  const [bank, setBank] = useState('')
  const [attendants, setAttendants] = useState<number | undefined>(one.attendants)
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        if (cage === undefined) return
        void record(
          `${one.code}: ${t('bank.cage', { number: cage })} ${hives.find((hive) => hive.id === bank)?.code ?? ''}`,
          [
            {
              deed: {
                kind: 'CELL_CAGED',
                queen: one.id,
                cage,
                ...(bank ? { bank } : {}),
                ...(attendants === undefined ? {} : { attendants }),
              },
            },
          ],
        )
        onDone()
      }}
    >
      <NumberField
        name={t('bank.number')}
        required
        min={1}
        max={100_000}
        value={cage}
        onChange={setCage}
      />
      <HiveChoice name={t('bank.bank')} value={bank} onChange={setBank} />
      <NumberField
        name={t('bank.company')}
        min={0}
        max={20}
        value={attendants}
        onChange={setAttendants}
      />
      <button className="act act-main">{t('bank.keep')}</button>
    </form>
  )
}
