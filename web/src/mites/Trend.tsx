import { useTranslation } from 'react-i18next'
import type { MiteHive } from '../api/types'
import { dayNumber, sayDay } from '../time/days'

const WIDTH = 360
const HEIGHT = 64
const PAD = 6

/** Counts of one hive over the days, each with its interval. */
export function Trend({ counts }: { counts: MiteHive['counts'] }) {
  const { t } = useTranslation()
  const points = counts
    .flatMap((one) => (one.percent ? [{ day: one.day, percent: one.percent }] : []))
    .reverse()
  const first = points[0]
  const last = points.at(-1)
  if (!first || !last || points.length < 2) return null
  const days = Math.max(1, dayNumber(last.day) - dayNumber(first.day))
  const top = Math.max(
    ...points.map(({ percent }) => Math.min(percent.most, 3 * percent.likely + 1)),
  )
  const x = (day: string) =>
    PAD + ((dayNumber(day) - dayNumber(first.day)) / days) * (WIDTH - 2 * PAD)
  const y = (value: number) => HEIGHT - PAD - (Math.min(value, top) / top) * (HEIGHT - 2 * PAD)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-1 h-16 w-full max-w-sm"
      role="img"
      aria-label={t('mites.trend', {
        points: points.map((one) => `${sayDay(one.day)} ${one.percent.likely} %`).join(', '),
      })}
    >
      <line x1={0} x2={WIDTH} y1={HEIGHT - PAD} y2={HEIGHT - PAD} stroke="var(--rule)" />
      <polyline
        fill="none"
        stroke="currentColor"
        strokeWidth={2}
        points={points.map((one) => `${x(one.day)},${y(one.percent.likely)}`).join(' ')}
      />
      {points.map((one) => (
        <g key={one.day}>
          <line
            x1={x(one.day)}
            x2={x(one.day)}
            y1={y(one.percent.least)}
            y2={y(one.percent.most)}
            stroke="currentColor"
            strokeOpacity={0.45}
            strokeWidth={4}
          />
          <circle cx={x(one.day)} cy={y(one.percent.likely)} r={4} fill="currentColor" />
        </g>
      ))}
    </svg>
  )
}
