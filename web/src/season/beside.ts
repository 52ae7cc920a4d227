import type { SeasonPlan, Standing } from '../api/types'

export interface Moved {
  demand: string
  from: number
  to: number
}

/** Less is the draws' doing, and nobody decides by it. */
const WORTH_TELLING = 0.02

/** Whose chance a plan changes against the plan that is in force, those it costs first. */
export function moved(
  standings: Pick<Standing, 'demand' | 'chance'>[],
  promises: Pick<SeasonPlan['promises'][number], 'demand' | 'chance'>[],
): Moved[] {
  const now = new Map(standings.map((one) => [one.demand, one.chance]))
  return promises
    .flatMap((one) => {
      const from = now.get(one.demand)
      return from === undefined || Math.abs(one.chance - from) < WORTH_TELLING
        ? []
        : [{ demand: one.demand, from, to: one.chance }]
    })
    .toSorted((one, two) => one.to - one.from - (two.to - two.from))
}
