import type { Afternoon } from '../../api/types'
import { endOf, startOf, type DayScale } from '../scale'

/** A mating afternoon: as it was in the past, as strong as its odds in days to come. */
export function Band({
  afternoon,
  scale,
  height,
}: {
  afternoon: Afternoon
  scale: DayScale
  height: number
}) {
  const strength = strengthOf(afternoon)
  if (strength === 0) return null
  const x = startOf(scale, afternoon.day)
  return (
    <rect
      x={x}
      y={0}
      width={endOf(scale, afternoon.day) - x}
      height={height}
      fill="var(--sun)"
      opacity={strength}
    />
  )
}

export function strengthOf(afternoon: Afternoon): number {
  if (afternoon.fitness === 'GOOD') return 1
  if (afternoon.fitness === 'POSSIBLE') return 0.5
  return afternoon.odds === undefined ? 0 : afternoon.odds * 0.7
}
