import { describe, expect, it } from 'vitest'
import {
  addedCell,
  closesTheHive,
  EMPTY,
  everyFrame,
  isEmpty,
  sameAs,
  seamsIn,
  signsOn,
  tapped,
  tappedOnSide,
  toldOf,
  turnedRound,
  type Side,
} from './reading'

const at = (slot: number, side: Side) => ({ box: 1, slot, side })

describe('a tap on a sign', () => {
  it('goes from not looked at to seen, to absent, and back', () => {
    const seen = tapped(EMPTY, 'CALM')
    expect(toldOf(seen, 'CALM')).toBe('seen')
    const absent = tapped(seen, 'CALM')
    expect(toldOf(absent, 'CALM')).toBe('absent')
    expect(isEmpty(tapped(absent, 'CALM'))).toBe(true)
  })
})

describe('a frame side', () => {
  it('keeps signs in the order of tapping and apart from its other side', () => {
    let draft = tappedOnSide(EMPTY, at(6, 'FAR'), 'SEALED_WORKER')
    draft = tappedOnSide(draft, at(6, 'FAR'), 'EGGS_SINGLE')
    draft = tappedOnSide(draft, at(6, 'NEAR'), 'POLLEN')
    expect(signsOn(draft, at(6, 'FAR'))).toEqual(['SEALED_WORKER', 'EGGS_SINGLE'])
    expect(signsOn(draft, at(6, 'NEAR'))).toEqual(['POLLEN'])
  })

  it('is forgotten when its last sign is taken away', () => {
    const draft = tappedOnSide(EMPTY, at(6, 'FAR'), 'POLLEN')
    expect(isEmpty(tappedOnSide(draft, at(6, 'FAR'), 'POLLEN'))).toBe(true)
  })
})

describe('cells', () => {
  it('of one look and place are counted together', () => {
    let draft = addedCell(EMPTY, 'LONG', 'BOTTOM_EDGE')
    draft = addedCell(draft, 'LONG', 'BOTTOM_EDGE')
    draft = addedCell(draft, 'LONG', 'FACE')
    expect(draft.cells).toEqual([
      { look: 'LONG', place: 'BOTTOM_EDGE', count: 2 },
      { look: 'LONG', place: 'FACE', count: 1 },
    ])
  })
})

describe('every frame looked at', () => {
  it('is said by one tap and taken back by another', () => {
    const whole = everyFrame(tapped(EMPTY, 'SEALED_WORKER'))
    expect(whole.looked).toBe('EVERY_FRAME')
    expect(whole.absent).toEqual([])
    expect(everyFrame(whole).looked).toBeUndefined()
  })

  it('is of its day: the same as last time does not say it again', () => {
    expect(sameAs(everyFrame(tapped(EMPTY, 'EGGS'))).looked).toBeUndefined()
  })
})

describe('same as last time', () => {
  it('takes everything over and fills what was left out with nothing', () => {
    expect(sameAs({ ...EMPTY, seen: ['CALM'], temper: 2 })).toEqual({ ...EMPTY, seen: ['CALM'] })
  })
})

describe('a frame put back', () => {
  const draft = tappedOnSide(
    tappedOnSide(EMPTY, at(4, 'NEAR'), 'SEALED_HONEY'),
    at(4, 'FAR'),
    'POLLEN',
  )

  it('is turned round with both its sides, and no other frame', () => {
    const other = tappedOnSide(draft, at(5, 'NEAR'), 'FOUNDATION')
    const turned = turnedRound(other, 1, 4)
    expect(signsOn(turned, at(4, 'FAR'))).toEqual(['SEALED_HONEY'])
    expect(signsOn(turned, at(4, 'NEAR'))).toEqual(['POLLEN'])
    expect(signsOn(turned, at(5, 'NEAR'))).toEqual(['FOUNDATION'])
    expect(turnedRound(turned, 1, 4).sides).toEqual(other.sides)
  })
})

describe('weather and lift', () => {
  it('close the hive in rain, not in sun', () => {
    expect(closesTheHive('RAIN')).toBe(true)
    expect(closesTheHive('SUN')).toBe(false)
    expect(closesTheHive(undefined)).toBe(false)
  })

  it.each([{ lift: 'LIGHT' }, { framesOfBees: 6 }, { temper: 2 }, { weather: 'SUN' }] as const)(
    'are a reading on their own (%o)',
    (counted) => {
      expect(isEmpty({ ...EMPTY, ...counted })).toBe(false)
    },
  )

  it('leave an empty pad empty', () => {
    expect(isEmpty(EMPTY)).toBe(true)
  })
})

describe('seams of a box', () => {
  it('are counted box by box and can be taken back', () => {
    const both = seamsIn(seamsIn(EMPTY, 1, 6.5), 2, 3)
    expect(both.boxes).toHaveLength(2)
    expect(seamsIn(both, 1, 7).boxes.find((one) => one.box === 1)?.seams).toBe(7)
    expect(isEmpty(seamsIn(seamsIn(both, 1, undefined), 2, undefined))).toBe(true)
  })
})
