import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { saySpan } from '../time/days'
import { Reasons } from '../ui/Reasons'
import { Course } from './Course'
import { forecastQuery } from './queries'
import { ReckonedLine } from './ReckonedLine'

/** What a hive will be in eight weeks, with what comes to pass until then. */
export function HiveForecast({ hive }: { hive: string }) {
  const { t } = useTranslation()
  const page = useQuery(forecastQuery(hive)).data
  if (!page) return null
  const { forecast } = page
  return (
    <section aria-labelledby="forecast" className="mt-6">
      <h2 id="forecast" className="text-xl">
        {t('forecast.title')}
      </h2>
      {page.unread && <p className="text-ink-2">{page.unread}</p>}
      {forecast && (
        <>
          <ReckonedLine about={page.with} />
          <Course withSplit={[forecast]} without={[forecast]} says="forecast.course" />
          <ul>
            {forecast.milestones.map((one) => (
              <li key={one.text} className="border-b border-rule py-1">
                <strong>{saySpan(one.when)}</strong> {one.text}
              </li>
            ))}
          </ul>
          {forecast.feedLitres > 0 && (
            <p className="font-semibold">{t('forecast.feed', { litres: forecast.feedLitres })}</p>
          )}
          <ul className="text-sm text-ink-2">
            {forecast.assumed.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
          <Reasons reasons={forecast.reasons}>{t('splits.why')}</Reasons>
        </>
      )}
    </section>
  )
}
