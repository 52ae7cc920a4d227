import { useQuery } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import type { EqualisePage } from '../api/types'
import { NumberField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { equaliseQuery } from './queries'
import { ReckonedLine } from './ReckonedLine'
import { Reserve } from './Reserve'
import { TakeMovesAlong } from './TakeAlong'
import { Unread } from './Unread'

/** Day ten: who was over-split, who gives which frame to whom. */
export function Equalise({ yard, where }: { yard: string; where: ReactNode }) {
  const { t } = useTranslation()
  const [brood, setBrood] = useState(2)
  const [bees, setBees] = useState(2)
  const page = useQuery(equaliseQuery(brood, bees, yard))
  return (
    <>
      <div className="no-print grid grid-cols-2 gap-x-4 gap-y-2 md:grid-cols-5">
        <NumberField
          name={t('splits.targetBrood')}
          value={brood}
          min={0}
          max={20}
          onChange={(next) => setBrood(next ?? 0)}
        />
        <NumberField
          name={t('splits.targetBees')}
          value={bees}
          min={0}
          max={20}
          step={0.5}
          onChange={(next) => setBees(next ?? 0)}
        />
        {where}
      </div>
      <Answer query={page}>{(found) => <Found page={found} />}</Answer>
    </>
  )
}

function Found({ page }: { page: EqualisePage }) {
  const { t } = useTranslation()
  const { plan } = page
  return (
    <div className="mt-4">
      <p className="font-read text-2xl font-bold" data-testid="answer">
        {plan.gifts.length === 0
          ? t('splits.noGifts')
          : t('splits.gifts', { count: plan.gifts.length, opened: plan.opened })}
      </p>
      <ReckonedLine about={page.with} />
      {plan.gifts.length > 0 && (
        <ol className="mt-3">
          {plan.gifts.map((gift, index) => (
            <li
              key={`${gift.from} ${gift.to} ${index}`}
              className="flex min-h-11 flex-wrap items-center gap-x-3 border-b border-rule"
            >
              <strong>
                {gift.from} → {gift.to}
              </strong>
              <span>
                {gift.frame
                  ? t('splits.giftFrame', { slot: gift.frame.slot, to: gift.toSlot })
                  : t('splits.giftShake')}
                {': '}
                {gift.because}
              </span>
              {gift.search && <strong className="text-crown">{t('splits.searchFirst')}</strong>}
            </li>
          ))}
        </ol>
      )}
      {page.sheet && <TakeMovesAlong sheet={page.sheet} />}
      {plan.pools.map((pool) => (
        <p key={pool.weak} className="mt-2">
          <strong>
            {pool.weak} + {pool.into}
          </strong>{' '}
          {pool.because}
        </p>
      ))}
      {plan.sample && <p className="mt-2">{plan.sample.text}</p>}
      <h2 className="mt-6 text-xl">{t('splits.everyUnit')}</h2>
      <ul>
        {plan.verdicts.map((one) => (
          <li
            key={one.code}
            className="grid grid-cols-[5rem_9rem_minmax(0,1fr)] gap-x-3 border-b border-rule py-1"
          >
            <strong>{one.code}</strong>
            <span className={one.stands === 'OVER_SPLIT' ? 'font-semibold text-crown' : ''}>
              {t(`splits.stands.${one.stands}`)}
            </span>
            <span className="text-ink-2">{one.text}</span>
          </li>
        ))}
      </ul>
      <Reserve />
      <Unread lines={page.units} />
    </div>
  )
}
