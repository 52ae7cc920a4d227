import { useTranslation } from 'react-i18next'
import type { Afternoon } from '../api/types'
import { dayNumber, isoDay, monthOf, sayDay, weekdayLetter } from '../time/days'
import { strengthOf } from './marks/Band'
import { endOf, middleOf, startOf, type DayScale } from './scale'

/** The days along the top, and the afternoons that were fit for mating. */
export function Days(props: {
  scale: DayScale
  today: string
  afternoons: Afternoon[]
  width: number
}) {
  const { scale, today } = props
  const { t } = useTranslation()
  const [first, last] = scale.domain() as [number, number]
  const everyDay = scale(first + 1) - scale(first) > 17
  const days: string[] = []
  for (let day = Math.ceil(first); day < last; day++) days.push(isoDay(day))
  return (
    <svg
      width={props.width}
      height={54}
      role="img"
      aria-label={t('threads.days', { day: sayDay(today) })}
    >
      {days.map((day) => {
        const isFirst = day.endsWith('-01') || day === days[0]
        const isToday = day === today
        if (!everyDay && !isToday && dayNumber(day) % 7 !== 4) return null
        return (
          <g key={day}>
            {isFirst && everyDay && (
              <text x={startOf(scale, day) + 2} y={11} fontSize={11} fill="var(--ink-2)">
                {monthOf(day)}
              </text>
            )}
            {everyDay && !isFirst && (
              <text
                x={middleOf(scale, day)}
                y={11}
                fontSize={10}
                textAnchor="middle"
                fill="var(--ink-3)"
              >
                {weekdayLetter(day)}
              </text>
            )}
            <text
              x={middleOf(scale, day)}
              y={28}
              fontSize={12}
              textAnchor="middle"
              fontWeight={isToday ? 800 : dayNumber(day) % 7 === 4 ? 700 : 400}
              fill={isToday ? 'var(--crown)' : 'var(--ink-2)'}
            >
              {Number(day.slice(8))}
            </text>
          </g>
        )
      })}
      {props.afternoons.map(
        (afternoon) =>
          afternoon.fitness !== undefined &&
          strengthOf(afternoon) > 0 && (
            <circle
              key={afternoon.day}
              cx={(startOf(scale, afternoon.day) + endOf(scale, afternoon.day)) / 2}
              cy={42}
              r={strengthOf(afternoon) > 0.9 ? 3.2 : 2}
              fill="#b58714"
            />
          ),
      )}
    </svg>
  )
}
