import type { CellsNotes, ReadingNotes, SideNotes, Sign } from '../api/types'

export type Side = SideNotes['side']

/** A reading while it is tapped: the notes as they will be recorded. */
export type Draft = ReadingNotes

export const EMPTY: Draft = { seen: [], absent: [], cells: [], sides: [], boxes: [] }

/** Not looked at, seen, looked for and not there. */
export type Told = 'unlooked' | 'seen' | 'absent'

export const toldOf = (draft: Draft, sign: Sign): Told =>
  draft.seen.includes(sign) ? 'seen' : draft.absent.includes(sign) ? 'absent' : 'unlooked'

/** One tap: seen. A second: looked for, not there. A third: not looked at. */
export function tapped(draft: Draft, sign: Sign): Draft {
  const seen = draft.seen.filter((one) => one !== sign)
  const absent = draft.absent.filter((one) => one !== sign)
  switch (toldOf(draft, sign)) {
    case 'unlooked':
      return { ...draft, seen: [...seen, sign], absent }
    case 'seen':
      return { ...draft, seen, absent: [...absent, sign] }
    case 'absent':
      return { ...draft, seen, absent }
  }
}

/** One side of one frame: the box from 1 at the bottom, the slot from 1 as seen from the entrance. */
export type Place = { box: number; slot: number; side: Side }

const isAt = (one: SideNotes, place: Place) =>
  one.box === place.box && one.slot === place.slot && one.side === place.side

export const signsOn = (draft: Pick<Draft, 'sides'>, place: Place): Sign[] =>
  draft.sides.find((one) => isAt(one, place))?.signs ?? []

/** On a frame side a tap adds or takes away; what is first is the largest part. */
export function tappedOnSide(draft: Draft, place: Place, sign: Sign): Draft {
  const signs = signsOn(draft, place)
  const next = signs.includes(sign) ? signs.filter((one) => one !== sign) : [...signs, sign]
  const others = draft.sides.filter((one) => !isAt(one, place))
  return { ...draft, sides: next.length > 0 ? [...others, { ...place, signs: next }] : others }
}

/** The frame stands the other way round than it was tapped: its sides change places. */
export const turnedRound = (draft: Draft, box: number, slot: number): Draft => ({
  ...draft,
  sides: draft.sides.map((one) =>
    one.box === box && one.slot === slot
      ? { ...one, side: one.side === 'NEAR' ? 'FAR' : 'NEAR' }
      : one,
  ),
})

/** Seams covered with bees in one box, halves count; nothing takes the count back. */
export function seamsIn(draft: Draft, box: number, seams: number | undefined): Draft {
  const others = draft.boxes.filter((one) => one.box !== box)
  return { ...draft, boxes: seams === undefined ? others : [...others, { box, seams, seen: [] }] }
}

/** One more cell of this look and place. */
export function addedCell(
  draft: Draft,
  look: CellsNotes['look'],
  place: CellsNotes['place'] | undefined,
  guessedDays?: number,
): Draft {
  const where = place ?? 'NOT_RECORDED'
  const same = (one: CellsNotes) =>
    one.look === look && one.place === where && one.guessedDays === guessedDays
  const known = draft.cells.some(same)
  const cells = known
    ? draft.cells.map((one) => (same(one) ? { ...one, count: one.count + 1 } : one))
    : [
        ...draft.cells,
        { look, place: where, count: 1, ...(guessedDays === undefined ? {} : { guessedDays }) },
      ]
  return { ...draft, cells, absent: draft.absent.filter((one) => one !== 'QUEEN_CELLS') }
}

/** Every frame was looked at, or not: what was not noted was then not there, by core's rule. */
export const everyFrame = (draft: Draft): Draft => ({
  ...draft,
  looked: draft.looked === 'EVERY_FRAME' ? undefined : 'EVERY_FRAME',
})

/** Weather in which an open hive is closed again. */
export const closesTheHive = (weather: Draft['weather']): boolean =>
  weather === 'RAIN' || weather === 'WIND' || weather === 'THUNDER' || weather === 'COLD'

/** What was seen as in an earlier reading; what was counted and felt is of that day. */
export const sameAs = ({ seen, absent, cells, sides }: ReadingNotes): Draft => ({
  ...EMPTY,
  seen,
  absent,
  cells,
  sides,
})

export const isEmpty = (draft: Draft): boolean =>
  Object.values(draft).every((part) =>
    Array.isArray(part) ? part.length === 0 : part === undefined,
  )

/** The pads: what is asked of the whole box, and of one frame side. */
export const BOX_SIGNS: Sign[] = [
  'EGGS_SINGLE',
  'EGGS_SEVERAL',
  'EGGS_ON_WALLS',
  'LARVAE',
  'SEALED_WORKER',
  'SEALED_WORKER_SPOTTY',
  'SEALED_DRONE_SCATTERED',
  'QUEEN',
  'QUEEN_MARKED',
  'QUEEN_CELLS',
  'POLISHED_CELLS',
  'NECTAR_IN_NEST',
  'CALM',
  'MOANING',
  'DEFENSIVE',
  'CROWDED',
  'BEES_OLD',
  'FEW_BEES',
]

export const MORE_SIGNS: Sign[] = [
  'BROOD',
  'EGGS_STANDING',
  'EGGS_LYING',
  'EMERGING_WORKERS',
  'SEALED_JUST',
  'SEALED_RING',
  'SEALED_MORE',
  'SEALED_DRONE_IN_DRONE_COMB',
  'DRONES_PURPLE_EYED',
  'DRONES_EMERGING',
  'VIRGIN',
  'QUEEN_DIPPING',
  'QUEEN_ATTENDED',
  'QUEEN_BELLY_LARGE',
  'QUEEN_BELLY_SMALL',
  'MATING_SIGN',
  'QUEEN_HURT',
  'QUEEN_UNMARKED',
  'TWO_QUEENS',
  'CUPS',
  'CELLS_ON_TEST_FRAME',
  'POLLEN_COMING_IN',
  'CLUSTER_OFF_NEST',
  'BEARDING',
  'EVENING',
  'DRONES',
  'DRONES_LATE',
  'BEES_YOUNG',
  'FEED_TAKEN',
  'FEED_UNTOUCHED',
  'FIGHTING',
  'DEAD_BEES',
  'ROBBING',
  'CAPS_SUNKEN',
  'CAPS_GREASY',
  'CAPS_PERFORATED',
  'LARVAE_DISCOLOURED',
  'ROPY',
  'FOUL_SMELL',
  'CHALK',
  'HIVE_BEETLE',
  'WAX_MOTH',
  'MITES_SEEN',
  'WINGS_DEFORMED',
]

export const SIDE_SIGNS: Sign[] = [
  'EGGS_SINGLE',
  'EGGS_SEVERAL',
  'YOUNG_LARVAE',
  'OLD_LARVAE',
  'SEALED_WORKER',
  'SEALED_DRONE',
  'EMERGING_WORKERS',
  'POLISHED_CELLS',
  'POLLEN',
  'NECTAR',
  'SEALED_HONEY',
  'EMPTY_COMB',
  'FOUNDATION',
  'QUEEN',
]

export const LOOKS: CellsNotes['look'][] = [
  'CUP_EMPTY',
  'CUP_EGG',
  'JELLY',
  'LONG',
  'SEALED',
  'RIPE',
  'EMERGED',
  'TORN_SIDE',
  'TORN_DOWN',
]

export const PLACES: CellsNotes['place'][] = [
  'BOTTOM_EDGE',
  'SIDE_EDGE',
  'FACE',
  'AMONG_WORKER_BROOD',
]
