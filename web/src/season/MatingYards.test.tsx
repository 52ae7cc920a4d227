// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { expect, it } from 'vitest'
import { stage } from '../testing/stage'
import { MatingYards, sayPlaces } from './MatingYards'

const yard = (name: string, cells: number, hours = 0) => ({
  yard: name,
  cells,
  most: cells,
  nucs: 48,
  mating: 0.775,
  trips: 5,
  hours,
  reasons: [],
})

it('says what each yard takes, how surely they lay there and how far one drives', () => {
  stage(
    <MatingYards
      yards={[yard('Low Meadow', 30), yard('High Pasture', 12, 2.5), yard('Ridge', 0)]}
    />,
  )
  const lines = screen.getAllByRole('listitem').map((one) => one.textContent)
  expect(lines[0]).toMatch(/Low Meadow.*30 cells, of 48 nucs 30 at a time.*78\s%/)
  expect(lines[0]).not.toMatch(/driving/)
  expect(lines[1]).toMatch(/5 times there and back, 2.5 h of driving/)
  expect(lines).toHaveLength(2)
  expect(screen.getByText('No cells go to Ridge.')).toBeTruthy()
})

it('is not there where no cells are placed', () => {
  stage(<MatingYards yards={[yard('Ridge', 0)]} />)
  expect(screen.queryByTestId('mating-yards')).toBeNull()
})

it('says places in a few words', () => {
  expect(
    sayPlaces([
      { yard: 'Low Meadow', cells: 12 },
      { yard: 'Ridge', cells: 3 },
    ]),
  ).toBe('Low Meadow 12, Ridge 3')
})
