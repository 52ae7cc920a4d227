import { describe, expect, it } from 'vitest'
import { labelled, meansOf } from './Curves'
import { cellsOf, HEIGHT, WIDTH } from './draw/comb'
import { ninthOf } from './draw/CombView'
import { actsOf, begun, liftsOf, looksAt, placesOf, readSides, seesHer } from './hive'
import type { Exercise, TrainerHive } from './queries'

const comb = (slot: number) => ({ slot, near: ['EGGS' as const], far: [] })

const HIVE: TrainerHive = {
  season: 'SUMMER',
  readDays: 7,
  traits: [],
  trail: true,
  boxes: [
    { honey: false, slots: 3, combs: [comb(1), comb(2)] },
    { honey: true, slots: 2, combs: [comb(1)] },
  ],
}

const EXERCISE: Exercise = {
  exercise: { skill: 'FIND_LAYING', level: 1, season: 'SUMMER', seed: 1 },
  task: 'FIND',
  hive: HIVE,
}

describe('an exercise at a hive', () => {
  it('goes through the places from the lid down', () => {
    expect(placesOf(HIVE).map((one) => `${one.kind} ${one.box ?? ''} ${one.slot ?? ''}`)).toEqual([
      'LID  ',
      'COMB 2 1',
      'WALLS 2 ',
      'COMB 1 1',
      'COMB 1 2',
      'WALLS 1 ',
      'FLOOR  ',
    ])
  })

  it('counts two sides of a comb as one lift, and the same comb later as another', () => {
    let doing = begun(EXERCISE, 'id', 0)
    const side = (slot: number, which: 'NEAR' | 'FAR') =>
      (doing = looksAt(doing, { kind: 'COMB', box: 1, slot, side: which }, 0, 0))
    side(1, 'NEAR')
    side(1, 'FAR')
    side(2, 'NEAR')
    side(1, 'NEAR')
    expect(liftsOf(doing.looks)).toBe(3)
    expect(liftsOf([])).toBe(0)
  })

  it('times each look by the one before it, within reason', () => {
    let doing = looksAt(begun(EXERCISE, 'id', 0), { kind: 'LID' }, 0, 5_000)
    expect(doing.looks[0]?.minutes).toBe(0.25)
    doing = looksAt(doing, { kind: 'FLOOR' }, 5_000, 41_000)
    expect(doing.looks[1]?.minutes).toBe(0.6)
    // somebody went to bed
    doing = looksAt(doing, { kind: 'LID' }, 41_000, 41_000 + 9 * 3600_000)
    expect(doing.looks[2]?.minutes).toBe(30)
  })

  it('sends where she was seen last of all', () => {
    const doing = seesHer(
      looksAt(
        looksAt(begun(EXERCISE, 'id', 0), { kind: 'LID' }, 0, 0),
        { kind: 'COMB', box: 1, slot: 2, side: 'FAR' },
        0,
        12_000,
      ),
    )
    expect(actsOf(doing).map((act) => act.kind)).toEqual(['LOOKED', 'FOUND'])
    expect(actsOf(doing)[1]?.place?.slot).toBe(2)
  })

  it('knows what stood on each side of a box', () => {
    expect(readSides(HIVE, 1)).toHaveLength(4)
    expect(readSides(HIVE, 1)[0]?.signs).toEqual(['EGGS'])
    expect(readSides(HIVE, 3)).toEqual([])
  })
})

describe('a comb that is drawn', () => {
  it('has every cell on it, every second row half a cell to the right', () => {
    const { cells, radius } = cellsOf(['ss.', 'eee'])
    expect(cells).toHaveLength(6)
    expect((cells[3]?.x ?? 0) - (cells[0]?.x ?? 0)).toBeCloseTo(radius)
    for (const cell of cells) {
      expect(cell.x).toBeLessThan(WIDTH)
      expect(cell.y).toBeLessThan(HEIGHT)
    }
  })

  it('is counted in ninths from the top left', () => {
    expect(ninthOf(0, 0)).toBe(1)
    expect(ninthOf(0.5, 0.5)).toBe(5)
    expect(ninthOf(1, 1)).toBe(9)
    expect(ninthOf(0.9, 0.1)).toBe(3)
  })
})

it('draws the mean of the last five', () => {
  const points = [0, 100, 100, 100, 100, 100].map((one) => ({ on: '2026-01-06', points: one }))
  expect(meansOf(points)).toEqual([0, 50, 200 / 3, 75, 80, 100])
  expect(meansOf([])).toEqual([])
})

it('writes no name on another', () => {
  const at = labelled([30, 31, 30])
  const order = at.toSorted((one, other) => one - other)
  expect((order[1] ?? 0) - (order[0] ?? 0)).toBeGreaterThanOrEqual(15)
  expect((order[2] ?? 0) - (order[1] ?? 0)).toBeGreaterThanOrEqual(15)
  expect(labelled([10, 50])).toEqual([10, 50])
})
