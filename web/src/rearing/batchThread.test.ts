import { describe, expect, it } from 'vitest'
import type { CalendarStep, GraftLine } from '../api/types'
import { batchThread, nextStep } from './batchThread'

const step = (
  kind: CalendarStep['kind'],
  earliest: string,
  likely: string,
  latest: string,
): CalendarStep => ({
  kind,
  name: kind,
  when: { earliest, likely, latest },
  work: kind === 'COUNT_TAKE',
  handsOff: kind === 'HANDS_OFF_MATING',
  reasons: [],
})

const GRAFT = {
  graftDay: '2026-06-01',
  next: 'COUNT_TAKE',
  counts: { placed: 0 },
  calendar: {
    cautions: [],
    steps: [
      step('COUNT_TAKE', '2026-06-02', '2026-06-02', '2026-06-02'),
      step('EMERGENCE', '2026-06-12', '2026-06-13', '2026-06-14'),
      step('HANDS_OFF_MATING', '2026-06-17', '2026-06-22', '2026-06-24'),
      step('FIRST_EGGS', '2026-06-20', '2026-06-24', '2026-06-30'),
      step('JUDGE_BROOD', '2026-06-29', '2026-07-03', '2026-07-09'),
    ],
  },
} as unknown as GraftLine

describe('a batch as a thread', () => {
  it('has strands that join, from the graft to laying', () => {
    const { strands } = batchThread(GRAFT)
    expect(strands.map((strand) => strand.character)).toEqual([
      'CELL',
      'VIRGIN',
      'MATING',
      'LAYING',
    ])
    expect(strands.slice(1).map((strand) => strand.from)).toEqual(
      strands.slice(0, -1).map((strand) => strand.until),
    )
  })
  it('is unsure of emergence until cells are placed, then of eggs', () => {
    expect(batchThread(GRAFT).unsure?.likely).toBe('2026-06-13')
    const placed = { ...GRAFT, counts: { ...GRAFT.counts, placed: 30 } }
    expect(batchThread(placed).unsure?.likely).toBe('2026-06-24')
  })
  it('shows the days on which nucs stay shut', () => {
    expect(batchThread(GRAFT).handsOff).toHaveLength(1)
  })
})

describe('the next step', () => {
  it('is late only after its last day', () => {
    expect(nextStep(GRAFT, '2026-06-02')?.late).toBe(false)
    expect(nextStep(GRAFT, '2026-06-03')?.late).toBe(true)
  })
})
