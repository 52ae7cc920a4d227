import type { Deed, Queen, Sight, Stop } from '../api/types'

/** What can be tapped at a queen's hive: what was seen of her, and what was done with her. */
export type Act = Sight | 'MARKED' | 'TAKEN_OUT'

/** What can be seen at the hive of a cell or queen at each stage: the likely ones first. */
export function actsFor(stage: Queen['stage']): Act[] {
  switch (stage) {
    case 'GRAFTED':
    case 'TAKEN':
    case 'SEALED':
      return ['EMERGED', 'DUD', 'VIRGIN', 'EGGS', 'NOT_FOUND', 'DEAD']
    case 'VIRGIN':
      return [
        'EGGS',
        'NO_EGGS_YET',
        'VIRGIN',
        'SEALED_WORKER_BROOD',
        'DRONE_BROOD_ONLY',
        'NOT_FOUND',
        'DEAD',
        'TAKEN_OUT',
      ]
    case 'LAYING':
    case 'JUDGED':
    case 'DRONE_LAYER':
      return [
        'SEALED_WORKER_BROOD',
        'EGGS',
        'DRONE_BROOD_ONLY',
        'MARKED',
        'NOT_FOUND',
        'DEAD',
        'TAKEN_OUT',
      ]
    case 'NOT_TAKEN':
    case 'CULLED':
    case 'DUD':
    case 'DEAD':
    case 'TAKEN_OUT':
      return []
    default:
      return stage satisfies never
  }
}

/** The deed of an act; nothing where her colour is not known and she was to be marked. */
export function deedOf(act: Act, queen: Pick<Queen, 'id' | 'colour'>): Deed | undefined {
  if (act === 'TAKEN_OUT') return { kind: 'QUEEN_TAKEN_OUT', queen: queen.id, whereTo: '' }
  if (act === 'MARKED') {
    return (
      queen.colour && { kind: 'QUEEN_MARKED', queen: queen.id, colour: queen.colour, number: '' }
    )
  }
  return { kind: 'QUEEN_SEEN', queen: queen.id, sight: act }
}

/** What "done" records for a job of the round, where one tap can say it. */
export function actOfDone(job: string): Act | undefined {
  switch (job) {
    case 'CHECK_EMERGENCE':
      return 'EMERGED'
    case 'LOOK_FOR_EGGS':
    case 'LOOK_AGAIN':
    case 'FIND_AGAIN':
      return 'EGGS'
    case 'JUDGE_BROOD':
      return 'SEALED_WORKER_BROOD'
    case 'MARK':
    case 'CHECK_MARK':
      return 'MARKED'
    case 'REPLACE':
      return 'TAKEN_OUT'
    default:
      return undefined
  }
}

/** Steps of a batch that are recorded cup by cup on the batch's own page. */
export const needsItsPage = (stop: Stop): boolean =>
  ['COUNT_TAKE', 'CULL', 'PLACE_CELLS', 'CAGE_CELLS', 'INTRODUCE_VIRGIN', 'GRAFT'].includes(
    stop.job,
  )
