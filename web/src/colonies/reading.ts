import type { CellsDetail, ReadingDetail, SideDetail, Sign } from '../api/types'

export type Side = SideDetail['side']

/** A reading while it is tapped. */
export type Draft = {
  seen: Sign[]
  absent: Sign[]
  cells: CellsDetail[]
  frames: SideDetail[]
  framesOfBees?: number
  temper?: number
  pollenColours?: number
  lift?: NonNullable<ReadingDetail['lift']>
  weather?: NonNullable<ReadingDetail['weather']>
}

export const EMPTY: Draft = { seen: [], absent: [], cells: [], frames: [] }

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

export const signsOn = (draft: Pick<Draft, 'frames'>, slot: number, side: Side): Sign[] =>
  draft.frames.find((one) => one.slot === slot && one.side === side)?.signs ?? []

/** On a frame side a tap adds or takes away; what is first is the largest part. */
export function tappedOnSide(draft: Draft, slot: number, side: Side, sign: Sign): Draft {
  const signs = signsOn(draft, slot, side)
  const next = signs.includes(sign) ? signs.filter((one) => one !== sign) : [...signs, sign]
  const others = draft.frames.filter((one) => one.slot !== slot || one.side !== side)
  return { ...draft, frames: next.length > 0 ? [...others, { slot, side, signs: next }] : others }
}

/** The frame stands the other way round than it was tapped: its sides change places. */
export const turnedRound = (draft: Draft, slot: number): Draft => ({
  ...draft,
  frames: draft.frames.map((one) =>
    one.slot === slot ? { ...one, side: one.side === 'NEAR' ? 'FAR' : 'NEAR' } : one,
  ),
})

/** One more cell of this look and place. */
export function addedCell(
  draft: Draft,
  look: CellsDetail['look'],
  place: CellsDetail['place'],
): Draft {
  const same = (one: CellsDetail) => one.look === look && one.place === place
  const known = draft.cells.some(same)
  const cells = known
    ? draft.cells.map((one) => (same(one) ? { ...one, count: (one.count ?? 1) + 1 } : one))
    : [...draft.cells, { look, place, count: 1 }]
  return { ...draft, cells, absent: draft.absent.filter((one) => one !== 'QUEEN_CELLS') }
}

/** What a keeper who went through every frame would have seen: what is not tapped was not there. */
const SEEN_IF_THERE: Sign[] = ['EGGS', 'LARVAE', 'SEALED_WORKER', 'SEALED_DRONE_SCATTERED']

const UNDER: Partial<Record<Sign, Sign[]>> = {
  EGGS: ['EGGS_SINGLE', 'EGGS_SEVERAL', 'EGGS_ON_WALLS', 'EGGS_STANDING', 'EGGS_LYING'],
  LARVAE: ['YOUNG_LARVAE', 'OLD_LARVAE'],
  SEALED_WORKER: ['SEALED_WORKER_SOLID', 'SEALED_WORKER_SPOTTY'],
}

export function everyFrameLookedAt(draft: Draft): Draft {
  const all = new Set<Sign>([...draft.seen, ...draft.frames.flatMap((side) => side.signs)])
  const missing = SEEN_IF_THERE.filter(
    (sign) => !all.has(sign) && !(UNDER[sign] ?? []).some((one) => all.has(one)),
  )
  const living = draft.cells.some(
    (one) => !['CUP_EMPTY', 'EMERGED', 'TORN_SIDE', 'TORN_DOWN'].includes(one.look),
  )
  if (!living && !all.has('QUEEN_CELLS')) missing.push('QUEEN_CELLS')
  return { ...draft, absent: [...new Set([...draft.absent, ...missing])] }
}

/** Everything that was recorded, to be corrected. */
export const asRecorded = (reading: ReadingDetail): Draft => ({
  ...sameAs(reading),
  ...(reading.framesOfBees === undefined ? {} : { framesOfBees: reading.framesOfBees }),
  ...(reading.temper === undefined ? {} : { temper: reading.temper }),
  ...(reading.pollenColours === undefined ? {} : { pollenColours: reading.pollenColours }),
  ...(reading.lift === undefined ? {} : { lift: reading.lift }),
  ...(reading.weather === undefined ? {} : { weather: reading.weather }),
})

/** Weather in which an open hive is closed again. */
export const closesTheHive = (weather: Draft['weather']): boolean =>
  weather === 'RAIN' || weather === 'WIND' || weather === 'THUNDER' || weather === 'COLD'

/** Everything as it stood in an earlier reading. */
export const sameAs = (last: ReadingDetail): Draft => ({
  seen: [...(last.seen ?? [])],
  absent: [...(last.absent ?? [])],
  cells: [...(last.cells ?? [])],
  frames: [...(last.frames ?? [])],
})

export const isEmpty = (draft: Draft): boolean =>
  draft.seen.length + draft.absent.length + draft.cells.length + draft.frames.length === 0 &&
  draft.lift === undefined

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
  'SEALED_DRONE_IN_DRONE_COMB',
  'VIRGIN',
  'QUEEN_UNMARKED',
  'TWO_QUEENS',
  'CUPS',
  'CELLS_ON_TEST_FRAME',
  'POLLEN_COMING_IN',
  'CLUSTER_OFF_NEST',
  'BEARDING',
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

export const LOOKS: CellsDetail['look'][] = [
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

export const PLACES: NonNullable<CellsDetail['place']>[] = [
  'BOTTOM_EDGE',
  'SIDE_EDGE',
  'FACE',
  'AMONG_WORKER_BROOD',
]
