// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { QueenPage } from '../api/types'
import { cell, stage, yard } from '../testing/stage'
import { Act } from './Act'
import { QueenForm } from './QueenForm'

const KNOWN = {
  hives: [
    { id: 'h1', code: 'H 1', yard: 'Weir Bend', yardId: 'y1', position: 1, purpose: 'PRODUCTION' },
    { id: 'b1', code: 'B 1', yard: 'Weir Bend', yardId: 'y1', position: 2, purpose: 'BUILDER' },
  ],
  yards: [yard('y1', 'Weir Bend')],
  'queens breeders': [cell('R-24-03', { stage: 'JUDGED' })],
}
const laying = cell('R-26-01', { stage: 'LAYING', emergenceYear: 2026, colour: 'WHITE' })

describe('a queen that is there already', () => {
  it('brings her mother, her origin, and where she is', async () => {
    const { user, deeds } = stage(<QueenForm onDone={() => {}} />, KNOWN)
    await user.type(screen.getByLabelText('Code'), 'R-26-07')
    await user.selectOptions(screen.getByLabelText('Mother'), 'R-24-03')
    await user.selectOptions(screen.getByLabelText('Origin'), 'BOUGHT')
    await user.type(screen.getByLabelText(/^From whom/), 'down the valley')
    await user.selectOptions(screen.getByLabelText('She is in'), 'H 1')
    await user.click(screen.getByRole('button', { name: /^Write|^Keep|down|Record/i }))
    await waitFor(() => expect(deeds()).toHaveLength(2))
    expect(deeds()[0]).toMatchObject({
      kind: 'QUEEN_KNOWN',
      code: 'R-26-07',
      mother: 'R-24-03',
      origin: { kind: 'BOUGHT', from: 'down the valley' },
      emergenceYear: 0,
    })
    expect(deeds()[1]).toMatchObject({ kind: 'QUEEN_PLACED', hive: 'h1', given: 'LAYING_QUEEN' })
  })

  it('raised in a hive, the queen who lays there is proposed as her mother, and only then', async () => {
    const { user, deeds } = stage(<QueenForm onDone={() => {}} />, KNOWN, {}, (path) =>
      path.includes('/colonies/{id}')
        ? {
            colony: { code: 'H 1' },
            queens: [
              cell('R-23-07', { stage: 'LAYING', name: 'Orla' }),
              cell('V-26-01', { stage: 'VIRGIN' }),
            ],
          }
        : [],
    )
    await user.type(screen.getByLabelText('Code'), 'S-26-01')
    await user.selectOptions(screen.getByLabelText('Origin'), 'SWARM')
    await user.selectOptions(screen.getByLabelText(/^Swarmed|^Out of|swarm/i), 'H 1')
    expect(screen.queryByText(/she is her mother/)).toBeNull()
    await user.selectOptions(screen.getByLabelText('Origin'), 'SUPERSEDURE_CELL')
    expect(await screen.findAllByText(/she is her mother/)).toHaveLength(1)
    await user.click(screen.getByText('Orla lays in H 1: she is her mother'))
    expect(screen.queryByText(/she is her mother/)).toBeNull()
    await user.click(screen.getByRole('button', { name: /^Write|^Keep|down|Record/i }))
    await waitFor(() => expect(deeds()).toHaveLength(1))
    expect(deeds()[0]).toMatchObject({
      mother: 'R-23-07',
      origin: { kind: 'SUPERSEDURE_CELL', hive: 'h1' },
    })
  })

  it('is never offered a builder: a loose queen there tears down the cells', () => {
    stage(<QueenForm onDone={() => {}} />, KNOWN)
    expect(screen.queryByRole('option', { name: 'B 1' })).toBeNull()
  })

  it('said anew keeps who she is', async () => {
    const page = { queen: laying, daughters: 0, daughtersLaying: 0, breeder: false, line: 'Larch' }
    const { user, deeds } = stage(<QueenForm page={page as QueenPage} onDone={() => {}} />, KNOWN)
    await user.click(screen.getByLabelText('A mother to graft from'))
    await user.click(screen.getByRole('button', { name: 'Keep' }))
    await waitFor(() => expect(deeds()).toHaveLength(1))
    expect(deeds()[0]).toMatchObject({
      queen: 'R-26-01',
      breeder: true,
      line: 'Larch',
      emergenceYear: 2026,
      stage: 'LAYING',
    })
  })
})

describe('what is done with a queen', () => {
  it('a mark without a colour has a number', async () => {
    const { user, deeds } = stage(<Act queen={cell('X', { stage: 'LAYING' })} />, KNOWN)
    await user.selectOptions(screen.getByLabelText('Colour'), '')
    await user.type(screen.getByLabelText('Disc number'), '14')
    await user.click(screen.getByRole('button', { name: 'Mark' }))
    await waitFor(() => expect(deeds()).toHaveLength(1))
    expect(deeds()[0]).toEqual({ kind: 'QUEEN_MARKED', queen: 'X', number: '14' })
  })

  it('sold, she leaves with a word to whom', async () => {
    const { user, deeds } = stage(<Act queen={laying} />, KNOWN)
    await user.type(screen.getByLabelText('To whom'), 'order 12')
    await user.click(screen.getByRole('button', { name: 'Record' }))
    await waitFor(() => expect(deeds()).toHaveLength(1))
    expect(deeds()[0]).toMatchObject({ kind: 'QUEEN_TAKEN_OUT', why: 'SOLD', whereTo: 'order 12' })
  })

  it('a cell is neither marked nor sold here', () => {
    stage(<Act queen={cell('C')} />, KNOWN)
    expect(screen.queryByRole('button', { name: 'Mark' })).toBeNull()
    expect(screen.queryByLabelText('To whom')).toBeNull()
  })
})
