import { expect, it } from 'vitest'
import { strengthOf } from './Band'

it('a fine afternoon shows full, one that may do half, one to come as strong as its odds', () => {
  expect(strengthOf({ by: 'STATION', day: '2026-06-09', fitness: 'GOOD' })).toBe(1)
  expect(strengthOf({ by: 'STATION', day: '2026-06-09', fitness: 'POSSIBLE' })).toBe(0.5)
  expect(strengthOf({ by: 'STATION', day: '2026-06-09', fitness: 'UNFIT' })).toBe(0)
  expect(strengthOf({ by: 'CLIMATE', day: '2026-06-20', odds: 0.5 })).toBeCloseTo(0.35)
  expect(strengthOf({ by: 'CLIMATE', day: '2026-06-20' })).toBe(0)
})
