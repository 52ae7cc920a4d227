// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { stage } from '../testing/stage'
import { BreedersFor } from './BreedersFor'

const FOUND = {
  chosen: [
    { queen: 'runa', line: 'Larch', daughters: 60, merit: 0.4, reliability: 0.5 },
    { queen: 'selva', line: 'Scree', daughters: 40, merit: 0.2, reliability: 0 },
  ],
  gap: 0,
  kinship: 0.1234,
  lineMore: 0.05,
  merit: 0.32,
  warnings: ['Two of them are sisters.'],
}

const show = (page: object, role: 'OWNER' | 'CREW' = 'OWNER') => {
  const set = vi.fn()
  const told = stage(
    <BreedersFor search={new URLSearchParams()} set={set} />,
    {},
    { role },
    (path) =>
      path.includes('lines/breeders') ? page : [{ id: 'runa' }, { id: 'selva' }, { id: 'tessa' }],
  )
  return { ...told, set }
}

const PAGE = { found: FOUND, names: { runa: 'Runa', selva: 'Selva' } }

describe('who is grafted from next', () => {
  it('shows the daughters of each, and never a merit without how sure it is', async () => {
    show(PAGE)
    expect((await screen.findByText('Runa')).closest('li')?.textContent).toContain('60 daughters')
    expect(screen.getByText('Runa').closest('li')?.textContent).toMatch(/\+0\.40.*50/)
    expect(screen.getByText('Selva').closest('li')?.textContent).not.toContain('0.20')
    expect(screen.getByText('! Two of them are sisters.')).toBeTruthy()
    expect(screen.getByText(/One more line would cost 0.05 marks/)).toBeTruthy()
  })

  it('taken for the season, each is said to be a mother with her daughters, the others keep one', async () => {
    const { user, deeds } = show(PAGE)
    await user.click(await screen.findByRole('button', { name: 'Take them for the season' }))
    await waitFor(() => expect(deeds()).toHaveLength(3))
    expect(deeds()).toEqual([
      { kind: 'QUEEN_BREEDER_SAID', queen: 'runa', breeder: true, daughters: 60 },
      { kind: 'QUEEN_BREEDER_SAID', queen: 'selva', breeder: true, daughters: 40 },
      { kind: 'QUEEN_BREEDER_SAID', queen: 'tessa', breeder: true, daughters: 1 },
    ])
  })

  it('is the owner’s to take', async () => {
    show(PAGE, 'CREW')
    await screen.findByText('Runa')
    expect(screen.queryByRole('button', { name: 'Take them for the season' })).toBeNull()
  })

  it('where no choice keeps the bounds it says why, and offers nothing to take', async () => {
    show({ names: {}, why: 'No three lines are that far apart: allow more kinship.' })
    expect(await screen.findByText(/allow more kinship/)).toBeTruthy()
    expect(screen.queryByRole('button')).toBeNull()
  })

  it('says so when nobody is far enough away to give the drones', async () => {
    show(PAGE)
    expect(await screen.findByText(/No queen that wintered is far enough/)).toBeTruthy()
  })

  it('an emptied field goes back to what is usual', async () => {
    const { user, set } = show(PAGE)
    await user.clear(await screen.findByLabelText('Daughters in all'))
    expect(set).toHaveBeenLastCalledWith({ daughters: '' })
  })
})
