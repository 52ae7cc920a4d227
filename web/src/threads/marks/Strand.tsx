import type { Part } from '../split'
import { clip, startOf, type DayScale } from '../scale'

const LAYER_OF_EGGS = 9
const WAVE = 8

/** One stretch of a life: tapered capsule, dotted line, wave, bar with eggs. Expected stretches are faint. */
export function StrandMark({ part, scale, y }: { part: Part; scale: DayScale; y: number }) {
  const shown = clip(scale, startOf(scale, part.from), startOf(scale, part.until))
  if (!shown) return null
  const [from, to] = shown
  const opacity = part.expected ? 0.45 : 1
  switch (part.character) {
    case 'CELL':
      return <Capsule from={from} to={to} y={y} opacity={opacity} dashed={part.expected} />
    case 'VIRGIN':
      return (
        <line
          x1={from}
          x2={to}
          y1={y}
          y2={y}
          stroke="var(--ink)"
          strokeWidth={2.5}
          strokeDasharray="2.5 3.5"
          opacity={opacity}
        />
      )
    case 'MATING':
      return (
        <path
          d={wave(from, to, y)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
          opacity={opacity}
        />
      )
    case 'LAYING':
    case 'DRONE_LAYING':
      return (
        <Bar
          from={from}
          to={to}
          y={y}
          expected={part.expected}
          drones={part.character === 'DRONE_LAYING'}
        />
      )
    default:
      return part.character satisfies never
  }
}

function Capsule(props: { from: number; to: number; y: number; opacity: number; dashed: boolean }) {
  const { from, to, y, opacity } = props
  const round = Math.min(8, (to - from) / 2)
  const d = `M${from + 3} ${y - 6} H${to - round} Q${to} ${y - 5} ${to} ${y} Q${to} ${y + 5} ${to - round} ${y + 6} H${from + 3} Q${from} ${y} ${from + 3} ${y - 6} Z`
  return (
    <path
      d={d}
      fill="url(#cell-hatch)"
      stroke="var(--ink)"
      strokeWidth={1.5}
      strokeDasharray={props.dashed ? '3 3' : undefined}
      opacity={opacity}
    />
  )
}

function Bar(props: { from: number; to: number; y: number; expected: boolean; drones: boolean }) {
  const { from, to, y, expected } = props
  if (expected) {
    return (
      <rect
        x={from}
        y={y - 3.5}
        width={to - from}
        height={7}
        rx={3}
        fill="none"
        stroke="var(--ink-3)"
        strokeDasharray="3 3"
      />
    )
  }
  const eggs = []
  for (let x = from + 5; x < to - 2; x += LAYER_OF_EGGS) {
    eggs.push(<circle key={x} cx={x} cy={y} r={props.drones ? 2.4 : 1.1} fill="var(--paper)" />)
  }
  return (
    <g>
      <rect x={from} y={y - 4} width={to - from} height={8} rx={4} fill="var(--ink)" />
      {eggs}
    </g>
  )
}

/** Half waves of fixed length from one end to the other. */
function wave(from: number, to: number, y: number): string {
  let d = `M${from} ${y}`
  let up = true
  for (let x = from; x < to - 0.5; x += WAVE) {
    const step = Math.min(WAVE, to - x)
    d += ` q${step / 2} ${up ? -7 : 7} ${step} 0`
    up = !up
  }
  return d
}
