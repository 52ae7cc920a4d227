import { useTranslation } from 'react-i18next'
import type { SplitPage } from '../api/types'
import { sayDay } from '../time/days'

/** What the answer was reckoned with: the day, the place, what comes in. */
export function ReckonedLine({ about }: { about: SplitPage['with'] }) {
  const { t } = useTranslation()
  return (
    <p className="text-sm text-ink-2">
      {t(about.flowAssumed ? 'splits.withAssumed' : 'splits.with', {
        day: sayDay(about.day),
        yard: about.yardName,
        flow: t(`splits.flow.${about.flow}`),
      })}
      {` ${t(`splits.daysBy.${about.daysBy}`)}`}
      {about.beetles && ` ${t('splits.beetles')}`}
      {about.ownCounts > 0 &&
        ` ${t('splits.ownGrowth', {
          count: about.ownCounts,
          percent: Math.round(about.ownGrowth * 100),
        })}`}
    </p>
  )
}
