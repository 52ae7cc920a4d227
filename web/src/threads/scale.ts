import { scaleLinear, type ScaleLinear } from 'd3-scale'
import { dayNumber } from '../time/days'

export type DayScale = ScaleLinear<number, number>

/** Lays days side by side: day n begins at scale(n) and is scale(n + 1) − scale(n) wide. Both days included. */
export const dayScale = (firstDay: string, lastDay: string, width: number): DayScale =>
  scaleLinear()
    .domain([dayNumber(firstDay), dayNumber(lastDay) + 1])
    .range([0, width])

/** Where a day begins. */
export const startOf = (scale: DayScale, day: string): number => scale(dayNumber(day))

/** The middle of a day: where something seen on that day is marked. */
export const middleOf = (scale: DayScale, day: string): number => scale(dayNumber(day) + 0.5)

/** Where a day ends. */
export const endOf = (scale: DayScale, day: string): number => scale(dayNumber(day) + 1)

/** The part of a stretch that shows, or nothing. */
export function clip(scale: DayScale, from: number, to: number): [number, number] | undefined {
  const [low, high] = scale.range() as [number, number]
  const start = Math.max(from, low)
  const end = Math.min(to, high)
  return end > start ? [start, end] : undefined
}
