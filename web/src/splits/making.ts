import type { Deed, Making, MakingStep } from '../api/types'

export type How = NonNullable<MakingStep['how']>
export type Gate = MakingStep['gate']

type StepDone = Extract<Deed, { kind: 'SPLIT_STEP_DONE' }>

/**
 * How each step was done: as the server has it, and over it what still waits on this device. Gates hang on it, and in the
 * yard there is often no signal; the server checks them again.
 */
export function doneSoFar(making: Making, waiting: readonly Deed[]): Map<string, How> {
  const done = new Map<string, How>()
  for (const step of making.steps) if (step.how) done.set(step.key, step.how)
  for (const deed of waiting) if (isOf(deed, making.id)) done.set(deed.step, deed.how)
  return done
}

const isOf = (deed: Deed, split: string): deed is StepDone =>
  deed.kind === 'SPLIT_STEP_DONE' && deed.split === split

const isKnown = (how: How | undefined) => how === 'SEEN_STAYS' || how === 'IN_HAND'

/** Whether the step may be done now, by what was said of the hive's queen. */
export function gateOf(step: MakingStep, making: Making, done: ReadonlyMap<string, How>): Gate {
  if (step.needs) {
    const how = done.get(step.needs.key)
    return how && step.needs.ways.includes(how) ? 'OPEN' : step.needs.gate
  }
  if (step.kind !== 'FRAME' && step.kind !== 'SHAKE') return 'OPEN'
  if (step.aboveExcluder) return 'OPEN'
  const found = done.get(`find ${step.at}`)
  if (making.takesTheQueen) return found === 'IN_HAND' ? 'OPEN' : 'TAKE_HER_FIRST'
  if (!found) return 'FIND_HER_FIRST'
  if (isKnown(found)) return 'OPEN'
  return step.kind === 'SHAKE' ? 'NOT_FROM_THESE' : 'SEARCH_BOTH_SIDES'
}

/** The ways of doing a step that its gate leaves open. */
export function waysOpen(step: MakingStep, gate: Gate): How[] {
  const ways = step.choices.map((choice) => choice.how)
  switch (gate) {
    case 'OPEN':
      return step.kind === 'TAKE_OUT'
        ? ways
        : ways.filter((how) => how !== 'SEARCHED' && how !== 'UNSEARCHED')
    case 'SEARCH_BOTH_SIDES':
      return ways.filter((how) => how !== 'DONE')
    case 'NOT_FROM_THESE':
      return ways.filter((how) => how === 'SEARCHED' || how === 'LEFT')
    case 'FIND_HER_FIRST':
    case 'TAKE_HER_FIRST':
    case 'NO_QUEEN_FIRST':
    case 'GUARD_FIRST':
      return ways.filter((how) => how === 'LEFT')
  }
}

/** Everything that is recorded when a step is done so. */
export const deedsOf = (making: Making, step: MakingStep, how: How): Deed[] => [
  { kind: 'SPLIT_STEP_DONE', split: making.id, step: step.key, how },
  ...(step.choices.find((choice) => choice.how === how)?.deeds ?? []),
]

/** She was found on a frame that was to go: it stays, and where she is is known now. */
export function foundOn(making: Making, step: MakingStep): Deed[] {
  const find = making.steps.find((one) => one.kind === 'FIND' && one.at === step.at)
  if (!find) return []
  return [
    ...deedsOf(making, find, 'SEEN_STAYS'),
    { kind: 'SPLIT_STEP_DONE', split: making.id, step: step.key, how: 'LEFT' },
  ]
}

/** Another frame of the same hive went in the planned one's place. */
export function otherwise(
  making: Making,
  step: MakingStep,
  other: { frame: string; box: string; slot: number },
): Deed[] {
  const planned = step.choices.flatMap((choice) => choice.deeds)
  const moved = planned.find((deed) => deed.kind === 'FRAMES_MOVED')
  if (moved?.kind !== 'FRAMES_MOVED') return []
  return [
    { kind: 'SPLIT_STEP_DONE', split: making.id, step: step.key, how: 'OTHERWISE' },
    {
      kind: 'FRAMES_MOVED',
      moves: moved.moves.map((move) => ({
        ...move,
        frame: other.frame,
        from:
          move.from.at === 'HIVE' ? { ...move.from, box: other.box, slot: other.slot } : move.from,
        signs: [],
      })),
    },
  ]
}

/** The sheet with its units called otherwise: the first as said, the others counted on from it. */
export function renamed<S extends { units: { code: string }[] }>(sheet: S, first: string): S {
  const [, prefix = '', number] = /^(.*?)(\d+)$/.exec(first.trim()) ?? [undefined, first.trim()]
  const from = number === undefined ? undefined : Number(number)
  return {
    ...sheet,
    units: sheet.units.map((unit, index) => ({
      ...unit,
      code:
        from === undefined
          ? index === 0
            ? prefix
            : `${prefix} ${index + 1}`
          : prefix + String(from + index).padStart(number?.length ?? 1, '0'),
    })),
  }
}
