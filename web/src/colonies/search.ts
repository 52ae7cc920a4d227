import type { SearchAsked, SearchView, SideNotes } from '../api/types'

export type Side = SideNotes['side']
type Act = NonNullable<SearchAsked['acts']>[number]
export type PlaceAt = NonNullable<Act['place']>
export type Shows = NonNullable<Act['shows']>

/** One look while one searches. */
export type Look = { place: PlaceAt; shows: Shows; found: boolean; minutes: number }

/** A search while it goes on: kept on the device until it is recorded. */
export type Draft = {
  why: NonNullable<SearchAsked['why']>
  traits?: NonNullable<SearchAsked['traits']>
  muchSmoke: boolean
  poorLight: boolean
  beginner: boolean
  looks: Look[]
  /** when the last look was, in milliseconds */
  at?: number
  held?: NonNullable<SearchAsked['held']>
}

export const BEGUN: Draft = {
  why: 'SHOW',
  muchSmoke: false,
  poorLight: false,
  beginner: false,
  looks: [],
}

/** What she may be wanted for. */
export const WHY: Draft['why'][] = ['SHOW', 'CAGE', 'MARK', 'TAKE_OUT', 'KEEP_SAFE']

/** A search that begins for a reason that came along, if it is one. */
export const begunFor = (why: string | null): Draft => ({
  ...BEGUN,
  why: WHY.find((one) => one === why) ?? BEGUN.why,
})

const LONGEST_MINUTES = 240
const USUAL_MINUTES = 0.25

/** One look more, timed by the look before it. */
export const looked = (draft: Draft, look: Omit<Look, 'minutes'>, now: number): Draft => ({
  ...draft,
  looks: [
    ...draft.looks,
    {
      ...look,
      minutes: draft.at
        ? Math.min(LONGEST_MINUTES, Math.round((now - draft.at) / 600) / 100)
        : USUAL_MINUTES,
    },
  ],
  at: now,
})

export const found = (draft: Draft): Look | undefined => draft.looks.find((one) => one.found)

/** What is asked of the server. */
export const asked = (draft: Draft): SearchAsked => ({
  why: draft.why,
  ...(draft.traits ? { traits: draft.traits } : {}),
  muchSmoke: draft.muchSmoke,
  poorLight: draft.poorLight,
  beginner: draft.beginner,
  ...(draft.held ? { held: draft.held } : {}),
  acts: draft.looks.map((look) => ({
    kind: look.found ? 'FOUND' : 'LOOKED',
    place: look.place,
    shows: look.shows,
    minutes: look.minutes,
  })),
})

const isComb = (place: PlaceAt) => (place.kind ?? 'COMB') === 'COMB'
const sameComb = (one: PlaceAt, other: PlaceAt) =>
  isComb(one) && isComb(other) && one.box === other.box && one.slot === other.slot

/** The other side of the comb in the hand, as long as it was not looked at. */
export function otherSide(looks: Look[]): PlaceAt | undefined {
  const last = looks.at(-1)
  if (!last || last.found || !isComb(last.place)) return undefined
  let inHand = 0
  while (inHand < looks.length && sameComb(looks[looks.length - 1 - inHand]!.place, last.place))
    inHand += 1
  if (inHand % 2 === 0) return undefined
  return { ...last.place, side: last.place.side === 'NEAR' ? 'FAR' : 'NEAR' }
}

/** Combs lifted and places looked at, both sides of a comb as one. */
export function steps(looks: Look[]): number {
  let count = 0
  looks.forEach((_, index) => {
    const upTo = looks.slice(0, index + 1)
    if (!otherSide(upTo)) count += 1
  })
  return count
}

export type OrderedStep = SearchView['order'][number]

/**
 * What to look at now.
 * @param answered looks that the answer knew of; without a signal it knows fewer, and its order is followed
 */
export function current(
  view: SearchView,
  looks: Look[],
  answered: number,
): { say: string; place: PlaceAt } | undefined {
  const hand = otherSide(looks)
  const since = steps(looks) - steps(looks.slice(0, answered))
  const step = view.order[since]
  if (hand) return { say: '', place: hand }
  if (!step || looks.at(-1)?.found) return undefined
  return {
    say: step.say,
    place: step.look ?? { kind: 'COMB', box: step.box, slot: step.slot, side: step.first },
  }
}
