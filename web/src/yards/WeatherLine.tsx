import { useTranslation } from 'react-i18next'
import type { YardStops } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { useSay } from '../units/useSay'
import { AskLine } from './AskLine'

const SEEMS = ['GOOD', 'POSSIBLE', 'UNFIT'] as const

/** The afternoon at a yard, and who says so; where nobody measured it, two taps do. */
export function WeatherLine({ yard, day }: { yard: YardStops; day: string }) {
  const { t } = useTranslation()
  const say = useSay()
  const { record } = useRecord()
  if (!yard.weatherBy) return null
  const warm = yard.airCelsius === undefined ? '' : `${say.temperature(yard.airCelsius)}, `
  return (
    <span>
      {yard.weather
        ? `${warm}${t(`weather.${yard.weather}`)} (${t(`weather.by.${yard.weatherBy}`)})`
        : t('weather.odds', {
            by: t(`weather.by.${yard.weatherBy}`),
            odds: Math.round((yard.fitOdds ?? 0) * 10),
          })}
      {yard.weatherBy !== 'STATION' && (
        <AskLine
          ask={t('weather.ask')}
          answers={SEEMS}
          given={yard.weatherBy === 'NOTED' ? SEEMS.find((one) => one === yard.weather) : undefined}
          says={(seemed) => t(`weather.${seemed}`)}
          onAnswer={(seemed) =>
            void record(`${yard.name}: ${t(`weather.${seemed}`)}`, [
              {
                deed: { kind: 'YARD_WEATHER_NOTED', yard: yard.yard, days: [{ day, seemed }] },
              },
            ])
          }
        />
      )}
    </span>
  )
}
