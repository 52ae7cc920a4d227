import { useTranslation } from 'react-i18next'
import type { YardStops } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { useDegrees } from '../settings/queries'

const SEEMS = ['GOOD', 'POSSIBLE', 'UNFIT'] as const

/** The afternoon at a yard, and who says so; where nobody measured it, two taps do. */
export function WeatherLine({ yard, day }: { yard: YardStops; day: string }) {
  const { t } = useTranslation()
  const degrees = useDegrees()
  const { record } = useRecord()
  if (!yard.weatherBy) return null
  const warm = yard.airCelsius === undefined ? '' : `${degrees(yard.airCelsius)}, `
  return (
    <span>
      {yard.weather
        ? `${warm}${t(`weather.${yard.weather}`)} (${t(`weather.by.${yard.weatherBy}`)})`
        : t('weather.odds', {
            by: t(`weather.by.${yard.weatherBy}`),
            odds: Math.round((yard.fitOdds ?? 0) * 10),
          })}
      {yard.weatherBy !== 'STATION' && (
        <details className="inline">
          <summary className="ml-3 inline-block min-h-8 underline decoration-dotted underline-offset-4">
            {t('weather.ask')}
          </summary>
          <span className="mt-1 flex flex-wrap gap-2">
            {SEEMS.map((seemed) => (
              <button
                key={seemed}
                className="act"
                aria-pressed={yard.weatherBy === 'NOTED' && yard.weather === seemed}
                onClick={() =>
                  void record(`${yard.name}: ${t(`weather.${seemed}`)}`, [
                    {
                      deed: {
                        kind: 'YARD_WEATHER_NOTED',
                        yard: yard.yard,
                        days: [{ day, seemed }],
                      },
                    },
                  ])
                }
              >
                {t(`weather.${seemed}`)}
              </button>
            ))}
          </span>
        </details>
      )}
    </span>
  )
}
