import { describe, expect, it } from 'vitest'
import type { StandardFigure } from '../api/types'
import { linesOf, ownFigures } from './figures'

const late: StandardFigure = {
  value: { figure: 'LATE', earliest: 21, likely: 21, latest: 21 },
  source: 'common practice',
}

describe('own figures', () => {
  it('are shown where there are any, and left empty where the trade decides', () => {
    const look: StandardFigure = {
      value: { figure: 'FIRST_LOOK', earliest: 14, likely: 14, latest: 21 },
      source: 'common practice',
    }
    const lines = linesOf(
      [late, look],
      [{ figure: 'LATE', earliest: 20, likely: 22, latest: 22.5 }],
    )
    expect(lines.map((line) => line.days)).toEqual([
      ['20', '22', '22.5'],
      ['', '', ''],
    ])
    expect(ownFigures(lines).own).toEqual([
      { figure: 'LATE', earliest: 20, likely: 22, latest: 22.5 },
    ])
  })

  it('half filled in are named and not sent', () => {
    const { own, half } = ownFigures([{ figure: 'LATE', days: ['20', '', ''] }])
    expect(own).toEqual([])
    expect(half[0]?.figure).toBe('LATE')
  })
})
