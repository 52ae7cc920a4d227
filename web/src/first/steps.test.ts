import { expect, it } from 'vitest'
import { nextStep } from './steps'

it('the next step is the first that is not done, wherever one began', () => {
  const none = { yard: false, hives: false, mother: false, builder: false, graft: false }
  expect(nextStep(none)).toBe('yard')
  expect(nextStep({ ...none, yard: true, mother: true })).toBe('hives')
  expect(nextStep({ yard: true, hives: true, mother: true, builder: true, graft: true })).toBe(
    undefined,
  )
})
