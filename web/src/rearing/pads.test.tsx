// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { GraftPage } from '../api/types'
import { cell, stage } from '../testing/stage'
import { CullPad } from './CullPad'
import { PlacePad } from './PlacePad'
import { TakePad } from './TakePad'

const cups = () => screen.getAllByRole('button', { name: /cup \d/i })

const page = (cups: GraftPage['cups']): GraftPage =>
  ({
    graft: { id: 'g', code: '26-06', placing: 'CELLS_TO_NUCS', stepsDone: [] },
    cups,
  }) as unknown as GraftPage

const free = (...codes: string[]) => ({
  'hives free': codes.map((code) => ({ id: code, code, yard: 'Weir Bend', yardId: 'y1' })),
  yards: [],
})

describe('the take', () => {
  const grafted = ['1', '2', '3'].map((code) => cell(code, { stage: 'GRAFTED' }))

  it('counts every cup of the bar, those not tapped as not taken', async () => {
    const { user, deeds } = stage(<TakePad page={page(grafted)} />)
    await user.click(cups()[0]!)
    await user.click(cups()[2]!)
    await user.click(screen.getByRole('button', { name: /2 of 3/ }))
    await waitFor(() => expect(deeds()).toHaveLength(2))
    expect(deeds()[0]).toMatchObject({ took: ['1', '3'], didNotTake: ['2'] })
    expect(deeds()[1]).toMatchObject({ kind: 'GRAFT_STEP_DONE', step: 'COUNT_TAKE' })
  })

  it('half counted it stays on the device', async () => {
    const { user } = stage(<TakePad page={page(grafted)} />)
    await user.click(cups()[1]!)
    expect(localStorage.getItem('draft-take-g')).toContain('2')
  })
})

describe('culling', () => {
  it('takes the reason that was chosen, and lets a wrong tap be taken back', async () => {
    const { user, deeds } = stage(<CullPad page={page([cell('1'), cell('2'), cell('3')])} />)
    await user.click(screen.getByRole('button', { name: 'misshapen' }))
    await user.click(cups()[0]!)
    await user.click(cups()[1]!)
    await user.click(cups()[1]!)
    await user.click(screen.getByRole('button', { name: 'Cull 1 cell' }))
    await waitFor(() => expect(deeds().length).toBeGreaterThan(0))
    expect(deeds().filter((one) => one.kind === 'CELL_CULLED')).toEqual([
      { kind: 'CELL_CULLED', queen: '1', reason: 'MISSHAPEN' },
    ])
  })
})

describe('placing', () => {
  it('gives each chosen cell a free box in the row, and none twice', async () => {
    const { user, deeds } = stage(
      <PlacePad page={page([cell('1'), cell('2'), cell('3', { hiveId: 'W 9', hive: 'W 9' })])} />,
      free('W 1', 'W 2', 'W 3'),
    )
    expect(cups()).toHaveLength(2)
    await user.click(cups()[0]!)
    await user.click(cups()[1]!)
    await user.click(screen.getByRole('button', { name: /^Place/ }))
    await waitFor(() => expect(deeds().length).toBe(3))
    expect(deeds().slice(0, 2)).toMatchObject([
      { kind: 'QUEEN_PLACED', queen: '1', hive: 'W 1', given: 'CELL' },
      { kind: 'QUEEN_PLACED', queen: '2', hive: 'W 2', given: 'CELL' },
    ])
    expect(deeds()[2]).toMatchObject({ kind: 'GRAFT_STEP_DONE', step: 'PLACE_CELLS' })
  })

  it('says a virgin from a cage is a virgin', async () => {
    const virgin = cell('1', { stage: 'VIRGIN', cage: 4 })
    const { user, deeds } = stage(<PlacePad page={page([virgin])} />, free('W 1'))
    await user.click(cups()[0]!)
    await user.click(screen.getByRole('button', { name: /^Place/ }))
    await waitFor(() => expect(deeds().length).toBeGreaterThan(0))
    expect(deeds()[0]).toMatchObject({ given: 'VIRGIN' })
  })
})
