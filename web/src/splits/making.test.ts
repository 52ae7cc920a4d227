import { describe, expect, it } from 'vitest'
import type { Deed, Making, MakingStep } from '../api/types'
import {
  deedsOf,
  doneSoFar,
  foundOn,
  gateOf,
  otherwise,
  renamed,
  waysOpen,
  type How,
} from './making'

const moved: Deed = {
  kind: 'FRAMES_MOVED',
  moves: [
    {
      frame: 'f4',
      from: { at: 'HIVE', hive: 'h1', box: 'b1', slot: 4 },
      to: { at: 'HIVE', hive: 'n1', box: 'nb', slot: 2 },
      signs: ['EGGS'],
    },
  ],
}
const step = (more: Partial<MakingStep> & Pick<MakingStep, 'key' | 'kind' | 'at'>): MakingStep => ({
  text: more.key,
  aboveExcluder: false,
  gate: 'OPEN',
  choices: (['DONE', 'SEARCHED', 'UNSEARCHED', 'LEFT'] as const).map((how) => ({
    how,
    deeds: how === 'LEFT' ? [] : [moved],
  })),
  ...more,
})
const find = step({
  key: 'find H 1',
  kind: 'FIND',
  at: 'H 1',
  choices: [
    { how: 'SEEN_STAYS', deeds: [{ kind: 'HAPPENED', hive: 'h1', event: 'SPLIT_WITH_QUEEN' }] },
    { how: 'NOT_FOUND', deeds: [] },
  ],
})
const frame = step({ key: 'frame H 1 4', kind: 'FRAME', at: 'H 1', unit: 'N 1' })
const shake = step({ key: 'shake H 1 N 1', kind: 'SHAKE', at: 'H 1', unit: 'N 1' })
const open = step({
  key: 'open N 1',
  kind: 'AT_ONCE',
  at: 'N 1',
  unit: 'N 1',
  choices: [{ how: 'DONE', deeds: [] }],
})

const making = (more: Partial<Making> = {}): Making => ({
  id: 's1',
  moves: false,
  recipeText: 'nuc with a ripe cell',
  day: '2026-06-08',
  takesTheQueen: false,
  steps: [find, frame, shake, open],
  units: [],
  still: [],
  made: false,
  dropped: false,
  ...more,
})
const done = (...pairs: [string, How][]) => new Map<string, How>(pairs)

describe('the gates at an open hive, without a signal', () => {
  it('nothing leaves before somebody looked for the queen', () => {
    expect(gateOf(frame, making(), done())).toBe('FIND_HER_FIRST')
    expect(waysOpen(frame, 'FIND_HER_FIRST')).toEqual(['LEFT'])
    expect(gateOf({ ...shake, aboveExcluder: true }, making(), done())).toBe('OPEN')
  })

  it('a look that still waits on the device opens the gate', () => {
    const waiting: Deed = {
      kind: 'SPLIT_STEP_DONE',
      split: 's1',
      step: 'find H 1',
      how: 'SEEN_STAYS',
    }
    const so = doneSoFar(making(), [waiting, { ...waiting, split: 'another', step: 'open N 1' }])
    expect(gateOf(frame, making(), so)).toBe('OPEN')
    expect(so.has('open N 1')).toBe(false)
    expect(waysOpen(frame, 'OPEN')).toEqual(['DONE', 'LEFT'])
  })

  it('not found, a frame is searched or said to be unsearched, and bees come from searched combs only', () => {
    const not = done(['find H 1', 'NOT_FOUND'])
    expect(gateOf(frame, making(), not)).toBe('SEARCH_BOTH_SIDES')
    expect(waysOpen(frame, 'SEARCH_BOTH_SIDES')).toEqual(['SEARCHED', 'UNSEARCHED', 'LEFT'])
    expect(gateOf(shake, making(), not)).toBe('NOT_FROM_THESE')
    expect(waysOpen(shake, 'NOT_FROM_THESE')).toEqual(['SEARCHED', 'LEFT'])
  })

  it('two hives become one only once the poorer queen is out, with no signal too', () => {
    const join = step({
      key: 'join N 1',
      kind: 'JOIN',
      at: 'N 1',
      needs: { key: 'take-out N 1', ways: ['KILLED', 'SEARCHED'], gate: 'NO_QUEEN_FIRST' },
      choices: [
        { how: 'DONE', deeds: [] },
        { how: 'LEFT', deeds: [] },
      ],
    })
    expect(gateOf(join, making(), done())).toBe('NO_QUEEN_FIRST')
    expect(gateOf(join, making(), done(['take-out N 1', 'NOT_FOUND']))).toBe('NO_QUEEN_FIRST')
    expect(waysOpen(join, 'NO_QUEEN_FIRST')).toEqual(['LEFT'])
    expect(gateOf(join, making(), done(['take-out N 1', 'SEARCHED']))).toBe('OPEN')
  })

  it('a queen who goes along is in hand first', () => {
    const hers = making({ takesTheQueen: true })
    expect(gateOf(frame, hers, done(['find H 1', 'SEEN_STAYS']))).toBe('TAKE_HER_FIRST')
    expect(gateOf(frame, hers, done(['find H 1', 'IN_HAND']))).toBe('OPEN')
  })
})

describe('what is recorded', () => {
  it('the step, and what it does to hives and frames', () => {
    expect(deedsOf(making(), frame, 'DONE')).toEqual([
      { kind: 'SPLIT_STEP_DONE', split: 's1', step: 'frame H 1 4', how: 'DONE' },
      moved,
    ])
  })

  it('she on a frame that was to go: it stays, and she is known', () => {
    expect(foundOn(making(), frame)).toEqual([
      { kind: 'SPLIT_STEP_DONE', split: 's1', step: 'find H 1', how: 'SEEN_STAYS' },
      { kind: 'HAPPENED', hive: 'h1', event: 'SPLIT_WITH_QUEEN' },
      { kind: 'SPLIT_STEP_DONE', split: 's1', step: 'frame H 1 4', how: 'LEFT' },
    ])
  })

  it('another frame in its place, and nothing of what was on the planned one', () => {
    const [said, went] = otherwise(making(), frame, { frame: 'f6', box: 'b1', slot: 6 })
    expect(said).toMatchObject({ how: 'OTHERWISE' })
    expect(went).toMatchObject({
      moves: [{ frame: 'f6', from: { slot: 6 }, to: { hive: 'n1', slot: 2 }, signs: [] }],
    })
  })
})

describe('names of new units', () => {
  it.each([
    ['N 7', ['N 7', 'N 8']],
    ['A3-009', ['A3-009', 'A3-010']],
    ['Moss', ['Moss', 'Moss 2']],
  ])('%s counts on', (first, codes) => {
    const sheet = { units: [{ code: 'x' }, { code: 'y' }] }
    expect(renamed(sheet, first).units.map((unit) => unit.code)).toEqual(codes)
  })
})
