import { describe, expect, it } from 'vitest'
import { moved } from './keys'
import { marksOf, onScale, USUAL_SCALE } from './merit'

describe('marks on a scale of one’s own', () => {
  it('are every step from the worst to the best', () => {
    expect(marksOf(USUAL_SCALE)).toEqual([1, 1.5, 2, 2.5, 3, 3.5, 4])
    expect(marksOf({ least: 1, most: 5, step: 1 })).toEqual([1, 2, 3, 4, 5])
    expect(marksOf({ least: 0, most: 1, step: 0.1 })).toHaveLength(11)
  })

  it('keep their meaning when the scale is changed', () => {
    expect(onScale(4, { least: 1, most: 10, step: 1 })).toBe(10)
    expect(onScale(2.5, { least: 1, most: 5, step: 1 })).toBe(3)
    expect(onScale(3.5, USUAL_SCALE)).toBe(3.5)
  })
})

describe('keys in the list', () => {
  it('lead up and down, and other keys are left to the page', () => {
    expect(moved('ArrowDown', 3, 9)).toBe(4)
    expect(moved('End', 3, 9)).toBe(8)
    expect(moved('Tab', 3, 9)).toBeUndefined()
  })
})
