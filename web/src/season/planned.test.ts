import { describe, expect, it } from 'vitest'
import type { Batch, PlannedLine } from '../api/types'
import { forWhom, holding, percent, plannedThread, withMoved } from './planned'

const on = (day: string) => ({ earliest: day, likely: day, latest: day })

const batch: Batch = {
  day: '2026-06-01',
  builder: 'B 1',
  breeder: 'Runa',
  line: 'Larch',
  cups: 45,
  shares: [
    { demand: 'A', cups: 30, delivery: '2026-07-02' },
    { demand: 'B', cups: 15, delivery: '2026-07-10' },
  ],
  spare: 0,
  locked: false,
  days: {
    ripe: on('2026-06-11'),
    emergence: on('2026-06-13'),
    flights: on('2026-06-18'),
    eggs: on('2026-06-24'),
  },
}
const line: PlannedLine = { graft: 'g1', code: '26-08', batch }

describe('a planned graft', () => {
  it('is a cell, a virgin, flights and eggs until the last delivery', () => {
    const { strands } = plannedThread(batch)
    expect(strands.map((one) => one.character)).toEqual(['CELL', 'VIRGIN', 'MATING', 'LAYING'])
    expect(strands[0]).toMatchObject({ from: '2026-06-01', until: '2026-06-13' })
    expect(strands[3]).toMatchObject({ until: '2026-07-10' })
  })

  it('moves as a whole while it is dragged, the delivery stays', () => {
    const { strands } = plannedThread(batch, 3)
    expect(strands[0]).toMatchObject({ from: '2026-06-04', until: '2026-06-16' })
    expect(strands[3]).toMatchObject({ from: '2026-06-27', until: '2026-07-10' })
  })

  it('ends where its cells or virgins are handed over', () => {
    const cells = { ...batch, shares: [{ demand: 'C', cups: 45, delivery: '2026-06-11' }] }
    expect(plannedThread(cells).strands).toEqual([
      { character: 'CELL', from: '2026-06-01', until: '2026-06-11' },
    ])
    const virgins = { ...batch, shares: [{ demand: 'V', cups: 45, delivery: '2026-06-16' }] }
    expect(plannedThread(virgins).strands.at(-1)).toEqual({
      character: 'VIRGIN',
      from: '2026-06-13',
      until: '2026-06-16',
    })
  })

  it('says for whom it is', () => {
    expect(forWhom(batch)).toBe('A 30, B 15')
  })

  it('is sent to be checked on its new day, the others as they are', () => {
    const other = { ...line, graft: 'g2' }
    const sent = withMoved([line, other], 'g1', -2)
    expect(sent.map((one) => one.day)).toEqual(['2026-05-30', '2026-06-01'])
    expect(sent[0]).not.toHaveProperty('days')
  })
})

describe('promises', () => {
  it('are counted where they hold', () => {
    expect(holding([{ state: 'HOLDS' }, { state: 'AT_RISK' }, { state: 'HOLDS' }])).toBe(2)
    expect(percent(0.914)).toBe('91\u00a0%')
  })
})
