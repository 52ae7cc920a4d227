import { scaleLinear } from 'd3-scale'
import { area, curveStepAfter, line } from 'd3-shape'
import { useTranslation } from 'react-i18next'
import type { SupplyBand } from '../api/types'
import { dayScale, startOf } from '../threads/scale'
import { addDays, dayNumber, sayDay, shortDay } from '../time/days'

const WIDTH = 920
const LEFT = 44
const BOTTOM = 24
const TOP = 12

type Point = SupplyBand['days'][number]

/** Demand as steps against the expected supply with its band: where the band falls under the steps, it is tight. */
export function BandChart({ band, today }: { band: SupplyBand; today: string }) {
  const { t } = useTranslation()
  const { days } = band
  // queens are the heart of it: the others take less room
  const height = band.kind === 'QUEENS' ? 200 : 120
  const last = days.at(-1)
  if (!last || last.day <= today) return null
  const x = dayScale(today, addDays(last.day, 2), WIDTH - LEFT)
  const most = Math.max(4, ...days.map((one) => Math.max(one.high, one.demanded)))
  const y = scaleLinear([0, most], [height - BOTTOM, TOP]).nice(4)
  const at = (point: Point) => LEFT + startOf(x, point.day)
  const supply = area<Point>()
    .x(at)
    .y0((point) => y(point.low))
    .y1((point) => y(point.high))
  const middle = line<Point>()
    .x(at)
    .y((point) => y(point.middle))
  const demand = line<Point>()
    .x(at)
    .y((point) => y(point.demanded))
    .curve(curveStepAfter)
  const short = days.find((point) => point.low < point.demanded)
  return (
    <figure className="mt-4">
      <figcaption className="flex flex-wrap gap-x-6">
        <strong>{t(`season.kind.${band.kind}`)}</strong>
        <span className="text-ink-2">
          {short
            ? t('season.tight', { day: sayDay(short.day), low: short.low, wanted: short.demanded })
            : t('season.roomy')}
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        className="mt-1 w-full"
        role="img"
        aria-label={t('season.bandSays', {
          kind: t(`season.kind.${band.kind}`),
          wanted: last.demanded,
          day: sayDay(last.day),
          low: last.low,
          high: last.high,
        })}
      >
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={WIDTH} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
            <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end" fontSize={12} fill="var(--ink-2)">
              {tick}
            </text>
          </g>
        ))}
        {days
          .filter((point) => (dayNumber(point.day) - dayNumber(today)) % 14 === 0)
          .map((point) => (
            <text
              key={point.day}
              x={at(point)}
              y={height - 6}
              fontSize={12}
              textAnchor={point.day === today ? 'start' : 'middle'}
              fill="var(--ink-2)"
            >
              {shortDay(point.day)}
            </text>
          ))}
        <path d={supply(days) ?? ''} fill="var(--ink)" opacity={0.14} />
        <path
          d={middle(days) ?? ''}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.5}
          strokeDasharray="4 4"
        />
        <path d={demand(days) ?? ''} fill="none" stroke="var(--ink)" strokeWidth={3} />
        <line
          x1={LEFT}
          x2={LEFT}
          y1={TOP}
          y2={height - BOTTOM}
          stroke="var(--crown)"
          strokeWidth={2}
        />
      </svg>
      <p className="text-sm text-ink-2">{t('season.legend')}</p>
    </figure>
  )
}
