import { describe, expect, it } from 'vitest'
import { held, heldFromAddress, heldInAddress } from './moving'

const frame = { hive: 'H 1', box: 1, slot: 4 }

describe('a frame that is tapped', () => {
  it('stays if the plan takes it, goes if the plan leaves it', () => {
    expect(held([], frame, true)).toEqual([{ ...frame, goes: false }])
    expect(held([], frame, false)).toEqual([{ ...frame, goes: true }])
  })

  it('is free again when it is tapped once more, and no other is touched', () => {
    const other = { hive: 'H 2', box: 1, slot: 4, goes: true }
    expect(held([other, { ...frame, goes: false }], frame, true)).toEqual([other])
  })
})

describe('frames held fast in the address', () => {
  it('come back as they went, and rubbish holds nothing', () => {
    const both = [
      { hive: 'H 1', box: 1, slot: 4, goes: true },
      { hive: 'A3~2', box: 2, slot: 10, goes: false },
    ]
    expect(heldFromAddress(heldInAddress(both))).toEqual(both)
    expect(heldFromAddress('')).toEqual([])
    expect(heldFromAddress('+x.1~H|~|+1.2~')).toEqual([])
  })
})
