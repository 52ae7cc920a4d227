import type { SideNotes } from '../api/types'
import type { Look, PlaceAt, Side } from '../colonies/search'
import type { Exercise, Task, TrainerHive } from './queries'

/** An exercise while it is done: kept on the device, so that a reload loses nothing. */
export type Doing = {
  /** sent with it, so that it counts once however often it is sent */
  id: string
  exercise: Exercise
  begunAt: number
  /** of a search */
  looks: Look[]
  /** taps on another bee */
  beside: number
}

/** Where an exercise of a task is kept while it is done. */
export const doingKey = (task: Task) => `trainer-doing-${task}`

export const begun = (exercise: Exercise, id: string, now: number): Doing => ({
  id,
  exercise,
  begunAt: now,
  looks: [],
  beside: 0,
})

/** Places that can be looked at, in the order in which the keys go through them: from the lid down. */
export const placesOf = (hive: TrainerHive): PlaceAt[] => [
  { kind: 'LID' },
  ...hive.boxes
    .map((box, index) => ({ box, number: index + 1 }))
    .reverse()
    .flatMap(({ box, number }) => [
      ...box.combs.map((comb): PlaceAt => ({
        kind: 'COMB',
        box: number,
        slot: comb.slot,
        side: 'NEAR',
      })),
      { kind: 'WALLS', box: number } as PlaceAt,
    ]),
  { kind: 'FLOOR' },
]

export const sameComb = (one: PlaceAt | undefined, other: PlaceAt | undefined): boolean =>
  one?.kind === other?.kind &&
  (one?.box ?? 1) === (other?.box ?? 1) &&
  (one?.slot ?? 0) === (other?.slot ?? 0)

/** What stood on the sides of a box when it was read. */
export const readSides = (hive: TrainerHive, box: number): SideNotes[] =>
  (hive.boxes[box - 1]?.combs ?? []).flatMap((comb) =>
    (['NEAR', 'FAR'] as Side[]).map((side) => ({
      box,
      slot: comb.slot,
      side,
      signs: side === 'NEAR' ? comb.near : comb.far,
    })),
  )

/** So many looks belong to one exercise. */
export const MOST_LOOKS = 120
const LONGEST_MINUTES = 30
const FIRST_MINUTES = 0.25

/** One look more, timed by the look before it. */
export const looksAt = (doing: Doing, place: PlaceAt, at: number, now: number): Doing => ({
  ...doing,
  looks: [
    ...doing.looks,
    {
      place,
      shows: 'NOTHING',
      found: false,
      minutes:
        doing.looks.length === 0
          ? FIRST_MINUTES
          : Math.min(LONGEST_MINUTES, Math.round((now - at) / 600) / 100),
    },
  ],
})

/** The look at which she was seen. */
export const seesHer = (doing: Doing): Doing => ({
  ...doing,
  looks: doing.looks.map((look, nth) =>
    nth === doing.looks.length - 1 ? { ...look, found: true } : look,
  ),
})

export const actsOf = (doing: Doing) =>
  doing.looks.map(({ place, found, minutes }) => ({
    kind: found ? ('FOUND' as const) : ('LOOKED' as const),
    place,
    minutes,
  }))

/** Lifts so far: two sides of a comb one after the other are one. */
export const liftsOf = (looks: Look[]): number =>
  looks.filter((look, nth) => nth === 0 || !sameComb(looks[nth - 1]?.place, look.place)).length
