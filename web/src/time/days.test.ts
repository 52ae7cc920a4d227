import { describe, expect, it } from 'vitest'
import { addDays, dayNumber, isoDay, sayDay, saySpan, zoned } from './days'

describe('days', () => {
  it('count across the end of a month, a leap day and a change of clocks', () => {
    expect(addDays('2028-02-28', 2)).toBe('2028-03-01')
    expect(addDays('2026-03-28', 2)).toBe('2026-03-30')
    expect(isoDay(dayNumber('1969-12-31'))).toBe('1969-12-31')
  })

  it('are said as people say them', () => {
    expect(sayDay('2026-06-09')).toBe('Tue 9 June')
  })
})

describe('spans', () => {
  it('name the month once where both ends share it', () => {
    expect(saySpan({ earliest: '2026-06-12', latest: '2026-06-14' })).toBe('12–14 June')
    expect(saySpan({ earliest: '2026-05-30', latest: '2026-06-02' })).toBe('30 May – 2 June')
    expect(saySpan({ earliest: '2026-06-09', latest: '2026-06-09' })).toBe('9 June')
  })
})

describe('zoned', () => {
  it('carries the offset of the place on that day, summer and winter', () => {
    expect(zoned('2026-06-09', '14:00:00', 'Europe/Zurich')).toBe('2026-06-09T14:00:00+02:00')
    expect(zoned('2026-12-09', '14:00:00', 'Europe/Zurich')).toBe('2026-12-09T14:00:00+01:00')
    expect(zoned('2026-06-09', '14:00:00', 'UTC')).toBe('2026-06-09T14:00:00+00:00')
  })
})
