import type { components } from '../api/schema'
import { zoned } from '../time/days'

type Planned = components['schemas']['GraftPlannedDeed']

export const AGES: readonly Planned['larvaAge'][] = [
  'UNDER_12_H',
  'FROM_12_TO_24_H',
  'FROM_24_TO_36_H',
]
export const PLACINGS: readonly Planned['placing'][] = ['CELLS_TO_NUCS', 'EMERGE_IN_INCUBATOR']

/** A graft that is being planned; numbers may be left out for a moment. */
export type GraftDraft = Pick<
  Planned,
  'mother' | 'builder' | 'grafter' | 'larvaAge' | 'placing'
> & {
  id: string
  day: string
  hour: string
  bars: number | undefined
  cupsPerBar: number | undefined
  incubatorCelsius: number | undefined
}

/** When it is to be, by the clock of the place. */
export const whenOf = (draft: GraftDraft, zone: string): string =>
  zoned(draft.day, `${draft.hour}:00`, zone)

/** Enough is filled in for its calendar. */
export const isComplete = (draft: GraftDraft): boolean =>
  Boolean(draft.mother && draft.builder && draft.day && draft.hour && draft.incubatorCelsius)
