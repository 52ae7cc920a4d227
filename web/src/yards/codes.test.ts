import { describe, expect, it } from 'vitest'
import { codesInRow, nextNumber } from './codes'

describe('codes of a row of hives', () => {
  it('have as many digits as the last one needs, two at least', () => {
    expect(codesInRow('W', 1, 3)).toEqual(['W 01', 'W 02', 'W 03'])
    expect(codesInRow(' W ', 98, 4)).toEqual(['W 098', 'W 099', 'W 100', 'W 101'])
    expect(codesInRow('', 7, 2)).toEqual(['07', '08'])
  })

  it('go on after the highest that stands', () => {
    expect(nextNumber('W', ['W 01', 'W 12', 'T 40', 'W x'])).toBe(13)
    expect(nextNumber('A', ['W 01'])).toBe(1)
    expect(nextNumber('', ['03', 'W 9'])).toBe(4)
  })
})
