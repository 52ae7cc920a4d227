import { describe, expect, it } from 'vitest'
import type { Stop } from '../api/types'
import { expectedAt, expectedOfAll } from './expected'
import { rowName, sharedStart, workOf } from './work'

const stop = (code: string, job: string, more: Partial<Stop> = {}): Stop => ({
  code,
  job: job as Stop['job'],
  text: job,
  subject: code,
  subjectKind: 'QUEEN',
  overdue: false,
  reasons: [],
  window: { earliest: '2026-06-09', likely: '2026-06-09', latest: '2026-06-09' },
  ...more,
})

describe('the work of a yard', () => {
  it('comes one kind at a time, each in walking order, the first met first', () => {
    const work = workOf([
      stop('W 01', 'MARK'),
      stop('W 02', 'CHECK_EMERGENCE'),
      stop('W 03', 'MARK'),
      stop('W 04', 'CHECK_EMERGENCE'),
    ])
    expect(work.map((one) => one.job)).toEqual(['MARK', 'CHECK_EMERGENCE'])
    expect(work[1]?.stops.map((one) => one.code)).toEqual(['W 02', 'W 04'])
  })

  it('names few boxes one by one and many by the first and the last', () => {
    const three = ['W 01', 'W 02', 'W 09'].map((code) => stop(code, 'MARK'))
    expect(rowName(three)).toBe('W 01, W 02, W 09')
    expect(rowName([...three, stop('W 12', 'MARK')])).toBe('W 01 – W 12')
  })
})

describe('codes in a row', () => {
  it('need not repeat what all begin with', () => {
    expect(sharedStart([stop('W 01', 'MARK'), stop('W 12', 'MARK')])).toBe(2)
    expect(sharedStart([stop('W 01', 'MARK'), stop('T 12', 'MARK')])).toBe(0)
    expect(sharedStart([stop('A3-004', 'MARK'), stop('A3-005', 'MARK')])).toBe(0)
  })
})

describe('all as expected', () => {
  it('says of each box what one tap at it would have said', () => {
    const cells = ['W 27', 'W 28'].map((code) => stop(code, 'CHECK_EMERGENCE'))
    expect(expectedOfAll(cells)?.map((one) => one.deed)).toEqual([
      { kind: 'QUEEN_SEEN', queen: 'W 27', sight: 'EMERGED' },
      { kind: 'QUEEN_SEEN', queen: 'W 28', sight: 'EMERGED' },
    ])
  })

  it('is never offered for taking queens out, for readings, or for what is counted cup by cup', () => {
    const two = (job: string, more: Partial<Stop> = {}) =>
      expectedOfAll([stop('A', job, more), stop('B', job, more)])
    expect(two('REPLACE')).toBeUndefined()
    expect(two('READ_COLONY', { subjectKind: 'HIVE' })).toBeUndefined()
    expect(two('COUNT_TAKE', { subjectKind: 'GRAFT' })).toBeUndefined()
    expect(expectedAt(stop('A', 'REPLACE'))?.deed).toMatchObject({ kind: 'QUEEN_TAKEN_OUT' })
  })

  it('is not offered where one of them cannot be said: a mark whose colour nobody knows', () => {
    const known = stop('A', 'MARK', { queen: { colour: 'WHITE' } as Stop['queen'] })
    expect(expectedOfAll([known, stop('B', 'MARK')])).toBeUndefined()
    expect(expectedOfAll([known, { ...known, code: 'C' }])).toHaveLength(2)
  })
})
