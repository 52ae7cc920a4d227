import type { EntryKind, Queen, Stop } from '../api/types'

/** What can be seen at the box of a cell or queen at each stage: the likely ones first. */
export function sightsFor(stage: Queen['stage']): EntryKind[] {
  switch (stage) {
    case 'GRAFTED':
    case 'TAKEN':
    case 'SEALED':
      return ['EMERGED', 'DUD', 'VIRGIN_SEEN', 'EGGS_SEEN', 'NOT_FOUND', 'DEAD']
    case 'VIRGIN':
      return [
        'EGGS_SEEN',
        'NO_EGGS_YET',
        'VIRGIN_SEEN',
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
        'EGGS_SEEN',
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

/** What "done" records for a job of the round, where one tap can say it. */
export function sightOfDone(job: string): EntryKind | undefined {
  switch (job) {
    case 'CHECK_EMERGENCE':
      return 'EMERGED'
    case 'LOOK_FOR_EGGS':
    case 'LOOK_AGAIN':
    case 'FIND_AGAIN':
      return 'EGGS_SEEN'
    case 'JUDGE_BROOD':
      return 'SEALED_WORKER_BROOD'
    case 'MARK':
    case 'CHECK_MARK':
      return 'MARKED'
    case 'REPLACE':
      return 'TAKEN_OUT'
    case 'GIVE_CELL':
      return 'PLACED_IN_NUC'
    default:
      return undefined
  }
}

/** Steps of a batch that are recorded cup by cup on the batch's own page. */
export const needsItsPage = (stop: Stop): boolean =>
  ['COUNT_TAKE', 'CULL', 'PLACE_CELLS', 'CAGE_CELLS', 'INTRODUCE_VIRGIN', 'GRAFT'].includes(
    stop.job,
  )
