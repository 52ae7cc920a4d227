import type { Calendar, CalendarStep, GraftLine, Thread } from '../api/types'
import { addDays } from '../time/days'

const when = (calendar: Calendar, kind: CalendarStep['kind']) =>
  calendar.steps.find((step) => step.kind === kind)?.when

/** A batch as one thread, from the days that its calendar gives. */
export function batchThread(graft: GraftLine): Thread {
  const { calendar } = graft
  const emergence = when(calendar, 'EMERGENCE')
  const flights = when(calendar, 'HANDS_OFF_MATING')
  const eggs = when(calendar, 'FIRST_EGGS')
  const judged = when(calendar, 'JUDGE_BROOD')
  if (!emergence || !flights || !eggs || !judged) return { strands: [], seen: [], handsOff: [] }
  return {
    strands: [
      { character: 'CELL', from: graft.graftDay, until: emergence.likely },
      { character: 'VIRGIN', from: emergence.likely, until: flights.earliest },
      { character: 'MATING', from: flights.earliest, until: eggs.likely },
      { character: 'LAYING', from: eggs.likely, until: addDays(judged.likely, 7) },
    ],
    seen: [],
    unsure: graft.counts.placed > 0 ? eggs : emergence,
    handsOff: calendar.steps.filter((step) => step.handsOff).map((step) => step.when),
  }
}

/** The step to do next, as the thread marks it. */
export function nextStep(graft: GraftLine, today: string) {
  const step = graft.calendar.steps.find((one) => one.kind === graft.next)
  return step && { day: step.when.earliest, text: step.name, late: step.when.latest < today }
}
