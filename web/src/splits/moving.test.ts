import { describe, expect, it } from 'vitest'
import { held } from './moving'

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
