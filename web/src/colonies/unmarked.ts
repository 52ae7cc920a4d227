import type { ColonyPage, Queen } from '../api/types'

/** A marked queen of the record in whose hive the last look found an unmarked one: who it is has to be asked. */
export function unmarkedWhereMarked(
  page: Pick<ColonyPage, 'queens' | 'readings'>,
): Queen | undefined {
  const seen = page.readings[0]?.reading.seen ?? []
  return seen.includes('QUEEN_UNMARKED')
    ? page.queens.find((one) => one.alive && one.mark !== '')
    : undefined
}
