import { clip, endOf, startOf, type DayScale } from '../scale'

export type CleanDays = { from: string; until?: string }

/** Days without sealed brood in her hive: every mite sits on a bee. Open cells in a row beneath the thread. */
export function Clean({ days, scale, y }: { days: CleanDays; scale: DayScale; y: number }) {
  const high = scale.range()[1] as number
  const shown = clip(scale, startOf(scale, days.from), days.until ? endOf(scale, days.until) : high)
  if (!shown) return null
  return (
    <line
      x1={shown[0] + 2}
      x2={shown[1]}
      y1={y + 10}
      y2={y + 10}
      stroke="var(--ink)"
      strokeWidth={3}
      strokeDasharray="0.1 6"
      strokeLinecap="round"
    />
  )
}
