import { describe, expect, it } from 'vitest'
import { pairUp, toggled, withRange } from './range'

const ROW = ['a', 'b', 'c', 'd', 'e']

describe('a range', () => {
  it('takes both ends, in either direction, and keeps what was selected', () => {
    expect([...withRange(new Set(['e']), ROW, 'b', 'd')].sort()).toEqual(['b', 'c', 'd', 'e'])
    expect([...withRange(new Set(), ROW, 'd', 'b')]).toEqual(['b', 'c', 'd'])
  })
  it('is the one place alone where the other end is not in the row', () => {
    expect([...withRange(new Set(), ROW, 'x', 'c')]).toEqual(['c'])
  })
})

it('toggling twice changes nothing', () => {
  expect([...toggled(toggled(new Set(['a']), 'b'), 'b')]).toEqual(['a'])
})

describe('pairing cells with free nucs', () => {
  const nucs = [{ id: 'W 02' }, { id: 'W 05' }, { id: 'T 01' }]
  it('begins at the chosen nuc and goes on in walking order', () => {
    expect(pairUp(['c1', 'c2'], nucs, 'W 05')).toEqual([
      ['c1', { id: 'W 05' }],
      ['c2', { id: 'T 01' }],
    ])
  })
  it('stops when the nucs run out', () => {
    expect(pairUp(['c1', 'c2', 'c3'], nucs, 'W 05')).toHaveLength(2)
  })
  it('begins at the first where none was chosen', () => {
    expect(pairUp(['c1'], nucs, '')).toEqual([['c1', { id: 'W 02' }]])
  })
})
