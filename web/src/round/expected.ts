import type { Deed, Stop } from '../api/types'
import { actOfDone, deedOf, needsItsPage } from '../queens/sights'

/** What one tap says, and its word: the likely sight, the cell that was given, the step that was done. */
export type Expected = { act?: string; deed: Deed }

/** Nothing where a job is done on a page of its own: a reading, a split, a count cup by cup. */
export function expectedAt(stop: Stop): Expected | undefined {
  if (stop.job === 'DRONE_COMB') {
    return { act: 'DRONE_COMB_IN', deed: { kind: 'DRONE_COMB_IN', hive: stop.subject } }
  }
  if (stop.job === 'RELEASE_QUEEN') {
    return {
      act: 'QUEEN_RELEASED',
      deed: { kind: 'HAPPENED', hive: stop.subject, event: 'QUEEN_RELEASED' },
    }
  }
  if (stop.split || stop.introduction || stop.subjectKind === 'HIVE' || needsItsPage(stop))
    return undefined
  if (stop.hive) {
    const deed: Deed = {
      kind: 'QUEEN_PLACED',
      queen: stop.subject,
      hive: stop.hive,
      given: 'CELL',
      besideAnother: false,
    }
    return { act: 'PLACED', deed }
  }
  const act = actOfDone(stop.job)
  if (act) {
    const deed = deedOf(act, { id: stop.subject, colour: stop.queen?.colour })
    return deed && { act, deed }
  }
  return { deed: { kind: 'GRAFT_STEP_DONE', graft: stop.subject, step: stop.job as never } }
}

/** Work that may be said of many boxes in one tap; a queen is taken out one by one. */
export function expectedOfAll(stops: Stop[]): Expected[] | undefined {
  if (stops.length < 2 || stops.some((stop) => stop.job === 'REPLACE')) return undefined
  const all = stops.map(expectedAt)
  return all.every((one) => one !== undefined) ? all : undefined
}
