import type { Span } from '../../api/types'
import { clip, endOf, startOf, type DayScale } from '../scale'

/** Hands-off days: hatching beneath the thread. */
export function Closed({ span, scale, y }: { span: Span; scale: DayScale; y: number }) {
  const shown = clip(scale, startOf(scale, span.earliest), endOf(scale, span.latest))
  if (!shown) return null
  return (
    <g>
      <rect
        x={shown[0]}
        y={y + 8}
        width={shown[1] - shown[0]}
        height={4}
        fill="url(#closed-hatch)"
      />
      <line
        x1={shown[0]}
        x2={shown[1]}
        y1={y + 12}
        y2={y + 12}
        stroke="var(--ink-3)"
        strokeWidth={1}
      />
    </g>
  )
}

/** Days in which the next change can fall: a dotted frame. */
export function Unsure({ span, scale, y }: { span: Span; scale: DayScale; y: number }) {
  const shown = clip(scale, startOf(scale, span.earliest), endOf(scale, span.latest))
  if (!shown) return null
  return (
    <rect
      x={shown[0]}
      y={y - 10}
      width={shown[1] - shown[0]}
      height={20}
      fill="none"
      stroke="var(--ink-3)"
      strokeDasharray="1.5 3"
    />
  )
}

/** Shared hatchings; once per drawing. */
export function Hatchings() {
  return (
    <defs>
      <pattern id="cell-hatch" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill="var(--sheet)" />
        <path d="M2 2 L5 7" stroke="var(--ink-3)" strokeWidth="1" />
      </pattern>
      <pattern id="closed-hatch" width="4" height="4" patternUnits="userSpaceOnUse">
        <path d="M0 0 L4 4" stroke="var(--ink-3)" strokeWidth="1" />
      </pattern>
    </defs>
  )
}
