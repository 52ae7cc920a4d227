import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { useTranslation } from 'react-i18next'
import type { TaskProgress } from './queries'

const WIDTH = 420
const HEIGHT = 64
const LABEL = 110
const BETWEEN = 15
const OVER = 5
const DASHES = [undefined, '7 4', '2 4', '10 3 2 3']

type Line = { name: string; points: TaskProgress['points'] }

/** The mean of the last five, for each one done. */
export const meansOf = (points: Line['points']): number[] =>
  points.map((_, nth) => {
    const last = points.slice(Math.max(0, nth - OVER + 1), nth + 1)
    return last.reduce((sum, one) => sum + one.points, 0) / last.length
  })

/** Where names stand beside the ends of lines, so that none lies on another. */
export function labelled(ends: number[]): number[] {
  const order = ends.map((end, nth) => ({ end, nth })).sort((one, other) => one.end - other.end)
  const at: number[] = []
  let above = -Infinity
  for (const { end, nth } of order) {
    above = Math.max(end, above + BETWEEN)
    at[nth] = above
  }
  return at
}

/** How the points went, one's own drawn through, others' dashed and named. */
export function Curves({ task, lines }: { task: string; lines: Line[] }) {
  const { t } = useTranslation()
  const drawn = lines
    .map((one, nth) => ({ ...one, nth, means: meansOf(one.points) }))
    .filter((one) => one.means.length > 0)
  if (drawn.length === 0) return <p className="text-sm text-ink-2">{t('train.notYet')}</p>
  const most = Math.max(2, ...drawn.map((one) => one.means.length))
  const x = scaleLinear([0, most - 1], [8, WIDTH - LABEL])
  const y = scaleLinear([0, 100], [HEIGHT - 8, 8])
  const path = line<number>()
    .x((_, nth) => x(nth))
    .y((mean) => y(mean))
  const labels = labelled(drawn.map((one) => y(one.means.at(-1) ?? 0)))
  const says = drawn
    .map((one) =>
      t('train.curve', {
        name: one.name,
        count: one.points.length,
        mean: Math.round(one.means.at(-1) ?? 0),
      }),
    )
    .join('. ')
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-md"
      role="img"
      aria-label={`${task}. ${says}`}
    >
      {[0, 50, 100].map((tick) => (
        <line key={tick} x1={8} x2={WIDTH - LABEL} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
      ))}
      {drawn.map((one, at) => {
        const last = one.means.at(-1) ?? 0
        return (
          <g key={one.nth}>
            {one.nth === 0 &&
              one.points.map((point, nth) => (
                <circle key={nth} cx={x(nth)} cy={y(point.points)} r={2} fill="var(--ink-3)" />
              ))}
            <path
              d={path(one.means) ?? ''}
              fill="none"
              stroke={one.nth === 0 ? 'var(--ink)' : 'var(--ink-2)'}
              strokeWidth={one.nth === 0 ? 2 : 1.5}
              strokeDasharray={DASHES[one.nth % DASHES.length]}
            />
            <text
              x={WIDTH - LABEL + 10}
              y={(labels[at] ?? 0) + 4}
              fontSize={13}
              fill={one.nth === 0 ? 'var(--ink)' : 'var(--ink-2)'}
              fontWeight={one.nth === 0 ? 700 : 400}
            >
              {`${one.name.split(' ')[0]} ${Math.round(last)}`}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
