import { describe, expect, it } from 'vitest'
import { sightOfDone, sightsFor } from './sights'

describe('what can be seen', () => {
  it('offers a dud only of a cell, drone brood only of one that may lay', () => {
    expect(sightsFor('TAKEN')).toContain('DUD')
    expect(sightsFor('VIRGIN')).not.toContain('DUD')
    expect(sightsFor('VIRGIN')).toContain('DRONE_BROOD_ONLY')
    expect(sightsFor('TAKEN')).not.toContain('DRONE_BROOD_ONLY')
  })
  it('offers nothing of one whose record has ended', () => {
    expect(sightsFor('CULLED')).toEqual([])
  })
})

describe('done', () => {
  it('says what was seen, so that one tap is a full entry', () => {
    expect(sightOfDone('CHECK_EMERGENCE')).toBe('EMERGED')
    expect(sightOfDone('JUDGE_BROOD')).toBe('SEALED_WORKER_BROOD')
  })
  it('is not one tap where cups must be told apart', () => {
    expect(sightOfDone('COUNT_TAKE')).toBeUndefined()
  })
})
