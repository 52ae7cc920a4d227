import { describe, expect, it } from 'vitest'
import type { Deed } from '../api/types'
import type { Parcel } from '../outbox/outbox'
import { freeAfter, pendingHives } from './pending'

const parcel = (deeds: Deed[], refused = false): Parcel => ({
  id: JSON.stringify(deeds),
  personId: 'ilva',
  label: '',
  keepContradictions: false,
  entries: deeds.map((deed) => ({ id: 'e', happenedAt: '2026-06-09T10:00:00+02:00', deed })),
  ...(refused ? { refusal: { status: 422, message: '', findings: [] } } : {}),
})
const setUp = (code: string, purpose: 'MATING_NUC' | 'PRODUCTION'): Deed => ({
  kind: 'HIVE_SET_UP',
  hive: code,
  yard: 'y1',
  code,
  position: 1,
  purpose,
  stack: [],
})
const placed = (hive: string): Deed => ({
  kind: 'QUEEN_PLACED',
  queen: 'q',
  hive,
  given: 'CELL',
  besideAnother: false,
})
const name = () => 'Weir Bend'

describe('a day without a signal', () => {
  it('boxes that were set up are there at once, unless the server refused them', () => {
    const waiting = [
      parcel([setUp('W 90', 'MATING_NUC')]),
      parcel([setUp('W 91', 'MATING_NUC')], true),
    ]
    expect(pendingHives(waiting, name).map((one) => [one.code, one.yard])).toEqual([
      ['W 90', 'Weir Bend'],
    ])
  })

  it('a box is offered to one cell only, though the server has not heard of it yet', () => {
    const free = [
      { id: 'W 1', code: 'W 1', yard: 'Weir Bend', yardId: 'y1' },
      { id: 'W 2', code: 'W 2', yard: 'Weir Bend', yardId: 'y1' },
    ]
    const waiting = [parcel([setUp('W 90', 'MATING_NUC'), setUp('H 9', 'PRODUCTION')])]
    const hives = pendingHives(waiting, name)
    expect(freeAfter(free, hives, waiting).map((one) => one.code)).toEqual(['W 1', 'W 2', 'W 90'])
    const more = [...waiting, parcel([placed('W 2'), placed('W 90')])]
    expect(freeAfter(free, hives, more).map((one) => one.code)).toEqual(['W 1'])
  })

  it('a placing that the server refused leaves the box free', () => {
    const free = [{ id: 'W 1', code: 'W 1', yard: 'Weir Bend', yardId: 'y1' }]
    expect(freeAfter(free, [], [parcel([placed('W 1')], true)])).toHaveLength(1)
  })
})
