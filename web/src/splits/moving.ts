import type { HeldFast, SideNotes, SplitPlan, UnitLine } from '../api/types'

export type Held = ReadonlyArray<HeldFast>

/** One frame of one hive, as its key. */
export const at = (box: number, slot: number) => `${box}/${slot}`

/** Frames of a hive that the plan takes, with the unit each goes to. */
export function leaving(plan: SplitPlan, hive: string): Map<string, string> {
  const frames = new Map<string, string>()
  for (const unit of plan.newUnits)
    for (const place of unit.layout)
      if (place.fromHive === hive && place.from)
        frames.set(at(place.from.box, place.from.slot), unit.code)
  return frames
}

/** What hangs in a new unit, drawn with what stood on the frames that come. */
export function sidesOf(
  unit: SplitPlan['newUnits'][number],
  lines: readonly UnitLine[],
): SideNotes[] {
  return unit.layout.flatMap((place): SideNotes[] => {
    if (!place.fromHive || !place.from) {
      const signs =
        place.filled === 'FOUNDATION' ? ['FOUNDATION' as const] : ['EMPTY_COMB' as const]
      return (['NEAR', 'FAR'] as const).map((side) => ({ box: 1, slot: place.slot, side, signs }))
    }
    const { box, slot } = place.from
    const hive = lines.find((line) => line.code === place.fromHive)
    return (hive?.sides ?? [])
      .filter((side) => side.box === box && side.slot === slot)
      .map((side) => ({ ...side, box: 1, slot: place.slot }))
  })
}

/** Tapped once a frame is held where the plan has it, otherwise; tapped again it is free. */
export function held(now: Held, frame: Omit<HeldFast, 'goes'>, goesNow: boolean): HeldFast[] {
  const rest = now.filter(
    (one) => !(one.hive === frame.hive && one.box === frame.box && one.slot === frame.slot),
  )
  return rest.length < now.length ? rest : [...rest, { ...frame, goes: !goesNow }]
}

/** Frames held fast as they stand in the address: a reload must not lose them. */
export const heldInAddress = (held: Held): string =>
  held.map((one) => `${one.goes ? '+' : '-'}${one.box}.${one.slot}~${one.hive}`).join('|')

export function heldFromAddress(text: string): HeldFast[] {
  return text.split('|').flatMap((one) => {
    const [, sign, box, slot, hive] = /^([+-])(\d+)\.(\d+)~(.{1,20})$/.exec(one) ?? []
    return hive ? [{ hive, box: Number(box), slot: Number(slot), goes: sign === '+' }] : []
  })
}
