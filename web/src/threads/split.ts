import type { Thread } from '../api/types'
import { dayNumber } from '../time/days'

export type Strand = Thread['strands'][number]
export type Part = Strand & { expected: boolean }

/** Cuts strands at today: what lies before is known, what lies after is expected. */
export function splitAtToday(strands: Strand[], today: string): Part[] {
  return strands.flatMap((strand): Part[] => {
    if (dayNumber(strand.until) <= dayNumber(today)) return [{ ...strand, expected: false }]
    if (dayNumber(strand.from) >= dayNumber(today)) return [{ ...strand, expected: true }]
    return [
      { ...strand, until: today, expected: false },
      { ...strand, from: today, expected: true },
    ]
  })
}
