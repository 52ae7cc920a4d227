// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { laidOut, stage, yard } from '../testing/stage'
import { QueenList } from './QueenList'

const QUEENS = {
  queens: [
    {
      id: 'q1',
      code: '26-01-107',
      name: '',
      line: 'Larch',
      stageText: 'laying, judged sound',
      alive: true,
      breeder: false,
      born: 2026,
      mark: 'WHITE 2',
      hive: 'W 03',
      yard: 'Weir Bend',
      mother: 'Runa',
      merit: 0.2,
      reliability: 0.3,
    },
    {
      id: 'q2',
      code: '25-61',
      name: '',
      line: 'Birch',
      stageText: 'laying',
      alive: true,
      breeder: false,
      mark: '',
      cage: 21,
    },
  ],
  all: 2,
  from: 0,
}

beforeEach(laidOut)

const show = (search = '') => {
  const set = vi.fn()
  const asked: string[] = []
  const told = stage(
    <QueenList search={new URLSearchParams(search)} set={set} />,
    { yards: [yard('weir', 'Weir Bend')] },
    {},
    (path) => {
      asked.push(path)
      return path.includes('choices') ? { lines: ['Birch', 'Larch'], years: [2026, 2025] } : QUEENS
    },
  )
  return { ...told, set, asked }
}

describe('the list of queens', () => {
  it('says who, where, of whom, and nothing of merit unless it is asked for', async () => {
    show()
    expect(await screen.findByText('2 queens')).toBeTruthy()
    const row = await screen.findByRole('button', { name: /26-01-107/ })
    expect(row.textContent).toContain('W 03, Weir Bend')
    expect(row.textContent).toContain('Runa')
    expect(row.textContent).not.toContain('0.20')
    expect(screen.getByRole('button', { name: /25-61/ }).textContent).toContain('cage 21')
  })

  it('of a queen whose year nobody knows says so', async () => {
    show()
    expect((await screen.findByRole('button', { name: /25-61/ })).textContent).toContain('?')
  })

  it('narrows by line, year and yard, and goes back to all', async () => {
    const { user, set } = show('line=Larch')
    await screen.findByTestId('answer')
    await user.selectOptions(screen.getByRole('combobox', { name: 'Yard' }), 'Weir Bend')
    expect(set).toHaveBeenLastCalledWith({ yard: 'weir' })
    await user.selectOptions(screen.getByRole('combobox', { name: 'Year' }), '2025')
    expect(set).toHaveBeenLastCalledWith({ year: '2025' })
    await user.click(screen.getByRole('button', { name: 'Show all living' }))
    expect(set).toHaveBeenLastCalledWith(expect.objectContaining({ line: '', merit: '', kept: '' }))
  })

  it('a column that is chosen stands there, with how sure a merit is', async () => {
    const { user } = show()
    await user.click(await screen.findByText('Narrow further, choose columns'))
    await user.click(screen.getByRole('checkbox', { name: /merit|worth/i }))
    expect((await screen.findByRole('button', { name: /26-01-107/ })).textContent).toMatch(
      /\+0\.20.*30/,
    )
    expect(screen.getByRole('button', { name: /25-61/ }).textContent).not.toContain('NaN')
  })

  it('prints cage labels of what is narrowed, and none where labels could not follow', async () => {
    show('line=Larch')
    const labels = (await screen.findByText('Cage labels')).getAttribute('href')
    expect(labels).toContain('line=Larch')
    expect(labels).toContain('kept=LIVING')
  })
})
