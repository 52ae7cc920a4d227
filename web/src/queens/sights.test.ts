import { describe, expect, it } from 'vitest'
import { actOfDone, actsFor, deedOf } from './sights'

describe('what can be seen', () => {
  it('offers a dud only of a cell, drone brood only of one that may lay', () => {
    expect(actsFor('TAKEN')).toContain('DUD')
    expect(actsFor('VIRGIN')).not.toContain('DUD')
    expect(actsFor('VIRGIN')).toContain('DRONE_BROOD_ONLY')
    expect(actsFor('TAKEN')).not.toContain('DRONE_BROOD_ONLY')
  })
  it('offers nothing of one whose record has ended', () => {
    expect(actsFor('CULLED')).toEqual([])
  })
})

describe('done', () => {
  it('says what was seen, so that one tap is a full entry', () => {
    expect(actOfDone('CHECK_EMERGENCE')).toBe('EMERGED')
    expect(actOfDone('JUDGE_BROOD')).toBe('SEALED_WORKER_BROOD')
  })
  it('marks only in the colour of a year that is known', () => {
    expect(deedOf('MARKED', { id: 'q', colour: undefined })).toBeUndefined()
    expect(deedOf('MARKED', { id: 'q', colour: 'BLUE' })).toMatchObject({ kind: 'QUEEN_MARKED' })
  })
  it('is not one tap where cups must be told apart', () => {
    expect(actOfDone('COUNT_TAKE')).toBeUndefined()
  })
})
