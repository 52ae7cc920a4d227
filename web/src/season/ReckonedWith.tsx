import { useTranslation } from 'react-i18next'
import type { Batch } from '../api/types'
import { sayDay } from '../time/days'
import { sayPlaces } from './MatingYards'
import { forWhom } from './planned'

/** For whom each graft is, and how much of it comes through each step. */
export function ReckonedWith({ batches }: { batches: Batch[] }) {
  const { t } = useTranslation()
  if (batches.length === 0) return null
  return (
    <details className="mt-2">
      <summary className="min-h-8">{t('season.reckonedWith')}</summary>
      <ul data-testid="reckoned-with">
        {batches.map((batch) => (
          <li
            key={`${batch.day}${batch.builder}${batch.breeder}`}
            className="border-b border-rule py-1"
          >
            <strong>
              {sayDay(batch.day)}, {batch.builder}
            </strong>
            : {t('season.cupsFrom', { cups: batch.cups, mother: batch.breederName })}
            {batch.grafter && ` (${batch.grafter})`},{' '}
            {t('season.for', { whom: forWhom(batch) || t('season.nobody') })}.{' '}
            {batch.at &&
              batch.at.length > 0 &&
              `${t('season.cellsTo', { where: sayPlaces(batch.at) })} `}
            <span className="text-ink-2">
              {batch.assumed?.map((reason) => reason.text).join(' ')}
            </span>
          </li>
        ))}
      </ul>
    </details>
  )
}
