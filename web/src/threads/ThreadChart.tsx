import { useVirtualizer } from '@tanstack/react-virtual'
import { useRef, type ReactNode } from 'react'
import type { Afternoon, Thread } from '../api/types'
import { addDays } from '../time/days'
import { Days } from './Days'
import { Band } from './marks/Band'
import type { CleanDays } from './marks/Clean'
import { Hatchings } from './marks/Closed'
import { dayScale, startOf } from './scale'
import { useWidth } from './useWidth'
import { ThreadLine, type ThreadDue } from './ThreadLine'

export type ChartRow = {
  id: string
  /** what the row is called, read aloud together with {@link says} */
  label: ReactNode
  says: string
  thread?: Thread
  /** the days without sealed brood in her hive; without an end they go on */
  clean?: CleanDays
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
                    clean={row.clean}
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
