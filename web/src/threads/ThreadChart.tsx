import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import type { Afternoon, Thread } from '../api/types'
import { addDays, dayNumber, isoDay, monthOf, sayDay, weekdayLetter } from '../time/days'
import { Band, strengthOf } from './marks/Band'
import { Hatchings } from './marks/Closed'
import { dayScale, endOf, middleOf, startOf, type DayScale } from './scale'
import { ThreadLine, type ThreadDue } from './ThreadLine'

export type ChartRow = {
  id: string
  /** what the row is called, read aloud together with {@link says} */
  label: ReactNode
  says: string
  thread?: Thread
  due?: ThreadDue
  endWord?: string
  selected?: boolean
  onOpen?: () => void
  /** the row can be dragged, or moved with the arrow keys, by so many days */
  onMove?: (days: number) => void
}

const ROW = 36
const LABEL = 168

/** Threads below one another on one time line. Only the rows in sight are drawn, so hundreds stay smooth. */
export function ThreadChart(props: {
  rows: ChartRow[]
  today: string
  back: number
  ahead: number
  afternoons?: Afternoon[]
  name: string
}) {
  const { rows, today } = props
  const box = useRef<HTMLDivElement>(null)
  const width = Math.max(280, useWidth(box) - LABEL)
  const scale = dayScale(addDays(today, -props.back), addDays(today, props.ahead), width)
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW,
    overscan: 8,
  })
  const shown = virtual.getVirtualItems()
  return (
    <div
      ref={box}
      className="max-h-[calc(100vh-11rem)] overflow-auto"
      tabIndex={0}
      role="region"
      aria-label={props.name}
    >
      <div className="sticky top-0 z-10 flex bg-paper" aria-hidden>
        <div style={{ width: LABEL }} className="shrink-0" />
        <Days scale={scale} today={today} afternoons={props.afternoons ?? []} width={width} />
      </div>
      <div className="relative" style={{ height: virtual.getTotalSize() }}>
        <svg
          className="absolute top-0"
          style={{ left: LABEL }}
          width={width}
          height={virtual.getTotalSize()}
          aria-hidden
        >
          <Hatchings />
          {(props.afternoons ?? []).map((afternoon) => (
            <Band
              key={afternoon.day}
              afternoon={afternoon}
              scale={scale}
              height={virtual.getTotalSize()}
            />
          ))}
          {shown.map((item) => {
            const row = rows[item.index]
            return (
              <g key={item.key} transform={`translate(0 ${item.start})`}>
                <line x1={0} x2={width} y1={ROW} y2={ROW} stroke="var(--rule)" />
                {row?.thread && (
                  <ThreadLine
                    thread={row.thread}
                    today={today}
                    scale={scale}
                    due={row.due}
                    endWord={row.endWord}
                  />
                )}
              </g>
            )
          })}
          <TodayLine x={startOf(scale, today)} height={virtual.getTotalSize()} />
        </svg>
        <ul>
          {shown.map((item) => {
            const row = rows[item.index]
            return (
              row && (
                <li
                  key={item.key}
                  className="absolute left-0 w-full"
                  style={{ top: item.start, height: ROW }}
                >
                  <RowLabel row={row} dayWidth={scale(1) - scale(0)} />
                </li>
              )
            )
          })}
        </ul>
      </div>
    </div>
  )
}

function RowLabel({ row, dayWidth }: { row: ChartRow; dayWidth: number }) {
  const look = `flex h-full items-center gap-3 text-left ${row.selected ? 'bg-ink text-paper' : ''}`
  const drag = useDrag(row, dayWidth)
  return row.onOpen ? (
    <button
      className={`${look} w-full bg-transparent ${row.onMove ? 'cursor-ew-resize touch-none' : ''}`}
      aria-label={row.says}
      aria-pressed={row.selected}
      {...drag}
    >
      <span style={{ width: LABEL }} className={row.selected ? 'bg-ink text-paper' : ''}>
        {row.label}
      </span>
    </button>
  ) : (
    <div className={look} style={{ width: LABEL }} aria-label={row.says} role="group">
      {row.label}
    </div>
  )
}

/** A press that stays is a click; one that wanders moves the row by whole days, as the arrow keys do. */
function useDrag(row: ChartRow, dayWidth: number) {
  const press = useRef<{ x: number; moved: number } | undefined>(undefined)
  const wandered = useRef(false)
  const { onMove, onOpen } = row
  if (!onMove) return { onClick: onOpen }
  return {
    onClick: () => {
      if (!wandered.current) onOpen?.()
      wandered.current = false
    },
    onKeyDown: (event: React.KeyboardEvent) => {
      const days = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
      if (days === 0) return
      event.preventDefault()
      onMove(days)
    },
    onPointerDown: (event: React.PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId)
      press.current = { x: event.clientX, moved: 0 }
      wandered.current = false
    },
    onPointerMove: (event: React.PointerEvent) => {
      if (!press.current) return
      const days = Math.round((event.clientX - press.current.x) / dayWidth)
      if (days === press.current.moved) return
      wandered.current = true
      onMove(days - press.current.moved)
      press.current.moved = days
    },
    onPointerUp: () => {
      press.current = undefined
    },
  }
}

function TodayLine({ x, height }: { x: number; height: number }) {
  return <line x1={x} x2={x} y1={0} y2={height} stroke="var(--crown)" strokeWidth={2} />
}

function Days(props: { scale: DayScale; today: string; afternoons: Afternoon[]; width: number }) {
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

function useWidth(box: React.RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(900)
  useEffect(() => {
    if (!box.current) return
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width))
    observer.observe(box.current)
    return () => observer.disconnect()
  }, [box])
  return width
}
