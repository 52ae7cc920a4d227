import { describe, expect, it } from 'vitest'
import { clip, dayScale, endOf, middleOf, startOf } from './scale'

const scale = dayScale('2026-06-01', '2026-06-10', 1000)

describe('the day scale', () => {
  it('gives each day the same width, the last one included', () => {
    expect(startOf(scale, '2026-06-01')).toBe(0)
    expect(endOf(scale, '2026-06-01')).toBe(100)
    expect(middleOf(scale, '2026-06-03')).toBe(250)
    expect(endOf(scale, '2026-06-10')).toBe(1000)
  })
})

describe('clip', () => {
  it('cuts what runs over the edge', () => {
    expect(clip(scale, -300, 200)).toEqual([0, 200])
    expect(clip(scale, 900, 1200)).toEqual([900, 1000])
  })
  it('leaves out what lies wholly outside, and what has no length', () => {
    expect(clip(scale, -300, -10)).toBeUndefined()
    expect(clip(scale, 50, 50)).toBeUndefined()
  })
})
