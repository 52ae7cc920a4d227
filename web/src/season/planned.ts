import type { Batch, PlannedLine, Standing, Thread } from '../api/types'
import { addDays, dayNumber } from '../time/days'

const shifted = (span: { earliest: string; likely: string; latest: string }, days: number) => ({
  earliest: addDays(span.earliest, days),
  likely: addDays(span.likely, days),
  latest: addDays(span.latest, days),
})

/** A planned graft as one thread; moved by so many days while it is dragged. */
export function plannedThread(batch: Batch, moved = 0): Thread {
  const { days } = batch
  if (!days) return { strands: [], seen: [], handsOff: [] }
  const emergence = shifted(days.emergence, moved)
  const flights = shifted(days.flights, moved)
  const eggs = shifted(days.eggs, moved)
  const last = batch.shares
    .map((share) => share.delivery)
    .toSorted()
    .at(-1)
  const from = addDays(batch.day, moved)
  // cells and virgins that are handed over go no further here
  if (last && last < emergence.likely)
    return { strands: [{ character: 'CELL', from, until: last }], seen: [], handsOff: [] }
  if (last && last < flights.earliest)
    return {
      strands: [
        { character: 'CELL', from, until: emergence.likely },
        { character: 'VIRGIN', from: emergence.likely, until: last },
      ],
      seen: [],
      handsOff: [],
    }
  return {
    strands: [
      { character: 'CELL', from, until: emergence.likely },
      { character: 'VIRGIN', from: emergence.likely, until: flights.earliest },
      { character: 'MATING', from: flights.earliest, until: eggs.likely },
      {
        character: 'LAYING',
        from: eggs.likely,
        until: last && last > eggs.likely ? last : addDays(eggs.likely, 7),
      },
    ],
    seen: [],
    unsure: eggs,
    handsOff: [],
  }
}

/** How many days from today a chart of these batches shows: to the last delivery, and a little further. */
export function daysAhead(batches: Batch[], today: string): number {
  const last = batches
    .flatMap((batch) => batch.shares.map((share) => share.delivery))
    .toSorted()
    .at(-1)
  return last ? Math.max(28, dayNumber(last) - dayNumber(today) + 3) : 42
}

/** "Q26-03 30, Q26-04 15" */
export const forWhom = (batch: Batch): string =>
  batch.shares.map((share) => `${share.demand} ${share.cups}`).join(', ')

/** The grafts with one of them on another day, as they are sent to be checked. */
export const withMoved = (planned: PlannedLine[], graft: string, days: number): Batch[] =>
  planned.map((line) => {
    const { days: _, ...batch } = line.batch
    return line.graft === graft ? { ...batch, day: addDays(batch.day, days) } : batch
  })

export const percent = (chance: number): string => `${Math.round(chance * 100)}\u00a0%`

/** How many hold, of how many. */
export const holding = (standings: Pick<Standing, 'state'>[]): number =>
  standings.filter((one) => one.state === 'HOLDS').length
