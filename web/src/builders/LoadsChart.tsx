import { useTranslation } from 'react-i18next'
import type { SeasonPage } from '../api/types'
import { dayScale, endOf, startOf } from '../threads/scale'
import { addDays, dayNumber, isoDay, sayDay, shortDay } from '../time/days'

const ROW = 34
const LEFT = 56
const WIDTH = 920
const TOP = 22

/** All builders on one time line: each load from its graft until its cells are ripe, rests hatched. */
export function LoadsChart({ season }: { season: SeasonPage }) {
  const { t } = useTranslation()
  const { builders, today } = season
  const ends = builders.flatMap((one) => one.loads.map((load) => load.ripe))
  const last = ends.toSorted().at(-1)
  if (!last) return null
  const x = dayScale(today, last > addDays(today, 28) ? last : addDays(today, 28), WIDTH - LEFT)
  const mondays = []
  for (let day = dayNumber(today); day <= dayNumber(last); day++)
    if (day % 7 === 4) mondays.push(isoDay(day))
  const height = TOP + builders.length * ROW
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="mt-2 w-full"
      role="img"
      aria-label={`${t('builders.threads')}: ${builders
        .map(
          (one) =>
            `${one.builder} ${one.loads.map((load) => `${sayDay(load.graft)} ${load.cups}`).join(', ')}`,
        )
        .join('; ')}`}
    >
      <defs>
        <pattern
          id="rest"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink-3)" strokeWidth="1.5" />
        </pattern>
      </defs>
      {mondays.map((day) => (
        <g key={day}>
          <line
            x1={LEFT + startOf(x, day)}
            x2={LEFT + startOf(x, day)}
            y1={TOP - 4}
            y2={height}
            stroke="var(--rule)"
          />
          <text x={LEFT + startOf(x, day)} y={13} fontSize={12} fill="var(--ink-2)">
            {shortDay(day)}
          </text>
        </g>
      ))}
      {builders.map((one, index) => {
        const y = TOP + index * ROW
        return (
          <g key={one.builder}>
            <text x={0} y={y + 21} fontSize={14} fontWeight={700} fill="var(--ink)">
              {one.builder}
            </text>
            <line x1={LEFT} x2={WIDTH} y1={y + ROW - 2} y2={y + ROW - 2} stroke="var(--rule)" />
            {one.loads.map((load) => {
              const from = LEFT + startOf(x, load.graft)
              const to = LEFT + startOf(x, load.ripe)
              const sealed = LEFT + startOf(x, load.sealed)
              return (
                <g key={load.graft}>
                  <line
                    x1={from}
                    x2={to}
                    y1={y + 16}
                    y2={y + 16}
                    stroke="var(--ink)"
                    strokeWidth={2}
                  />
                  <rect
                    x={from}
                    y={y + 8}
                    width={Math.max(4, sealed - from)}
                    height={16}
                    fill="var(--sheet)"
                    stroke="var(--ink)"
                    strokeWidth={1.5}
                  />
                  <text x={from + 4} y={y + 21} fontSize={12} fill="var(--ink)">
                    {load.cups}
                  </text>
                </g>
              )
            })}
            {one.rests.map((rest) => (
              <rect
                key={rest.earliest}
                x={LEFT + startOf(x, rest.earliest)}
                y={y + 10}
                width={Math.max(0, endOf(x, rest.latest) - startOf(x, rest.earliest))}
                height={12}
                fill="url(#rest)"
              />
            ))}
          </g>
        )
      })}
      <line x1={LEFT} x2={LEFT} y1={TOP - 6} y2={height} stroke="var(--crown)" strokeWidth={2} />
    </svg>
  )
}
