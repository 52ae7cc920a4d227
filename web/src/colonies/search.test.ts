import { describe, expect, it } from 'vitest'
import type { SearchView } from '../api/types'
import {
  asked,
  BEGUN,
  begunFor,
  current,
  found,
  looked,
  otherSide,
  steps,
  type Look,
} from './search'

const look = (slot: number, side: 'NEAR' | 'FAR', isHer = false): Look => ({
  place: { kind: 'COMB', box: 1, slot, side },
  shows: 'NOTHING',
  found: isHer,
  minutes: 0.2,
})
const lid: Look = { place: { kind: 'LID' }, shows: 'NOTHING', found: false, minutes: 0.1 }

const view = (...slots: number[]) =>
  ({
    order: slots.map((slot) => ({ say: `Lift comb ${slot}`, box: 1, slot, first: 'FAR' })),
  }) as unknown as SearchView

describe('a search while it goes on', () => {
  it('asks for the other side of the comb in the hand, whatever the answer says', () => {
    expect(otherSide([])).toBeUndefined()
    expect(otherSide([look(3, 'FAR')])).toMatchObject({ slot: 3, side: 'NEAR' })
    expect(otherSide([look(3, 'FAR'), look(3, 'NEAR')])).toBeUndefined()
    expect(otherSide([lid])).toBeUndefined()
    expect(otherSide([look(3, 'FAR', true)])).toBeUndefined()
    expect(current(view(5), [look(3, 'FAR')], 1)?.place).toMatchObject({ slot: 3, side: 'NEAR' })
  })

  it('counts both sides of a comb as one step', () => {
    expect(steps([])).toBe(0)
    expect(steps([lid, look(3, 'FAR'), look(3, 'NEAR'), look(4, 'NEAR')])).toBe(2)
    expect(steps([look(3, 'FAR'), look(3, 'NEAR'), look(3, 'FAR'), look(3, 'NEAR')])).toBe(2)
  })

  it('follows the order said before where no answer came', () => {
    const looks = [look(1, 'FAR'), look(1, 'NEAR'), look(4, 'FAR'), look(4, 'NEAR')]
    expect(current(view(1, 4, 5), looks, 0)?.place).toMatchObject({ slot: 5, side: 'FAR' })
    expect(current(view(5), looks, 4)?.place).toMatchObject({ slot: 5 })
    expect(current(view(1), looks, 0)).toBeUndefined()
  })

  it('is over once she is found', () => {
    const looks = [look(1, 'FAR', true)]
    expect(current(view(5), looks, 0)).toBeUndefined()
    expect(found({ ...BEGUN, looks })?.place.slot).toBe(1)
  })

  it('times each look by the one before, and never by more than four hours', () => {
    const first = looked(BEGUN, look(1, 'FAR'), 1_000_000)
    const second = looked(first, look(1, 'NEAR'), 1_000_000 + 30_000)
    const later = looked(second, look(2, 'NEAR'), 1_000_000 + 9 * 3_600_000)
    expect(second.looks.map((one) => one.minutes)).toEqual([0.25, 0.5])
    expect(later.looks.at(-1)?.minutes).toBe(240)
  })

  it('asks with every look, and says what she is like only where that was changed', () => {
    const body = asked({ ...BEGUN, looks: [look(2, 'NEAR', true)], held: 'CAGE' })
    expect(body.traits).toBeUndefined()
    expect(body.held).toBe('CAGE')
    expect(body.acts?.[0]).toMatchObject({ kind: 'FOUND', place: { slot: 2, side: 'NEAR' } })
  })
})

it('begins with the reason that came along, and with none that is unknown', () => {
  expect(begunFor('TAKE_OUT').why).toBe('TAKE_OUT')
  expect(begunFor('nonsense').why).toBe('SHOW')
  expect(begunFor(null)).toEqual(BEGUN)
})
