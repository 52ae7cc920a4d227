// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { api } from '../api/client'
import { stage } from '../testing/stage'
import { No } from './No'

const answers = (freed: object) =>
  vi.spyOn(api, 'GET').mockResolvedValue({
    data: freed,
    response: new Response(null, { status: 200 }),
  } as never)

const FREED = {
  demand: 'Q26-08',
  hours: 11.6,
  cups: 62,
  nucDays: 840,
  gains: ['Q26-05'],
  loses: [],
  others: [
    { demand: 'Q26-05', with: 0.42, without: 0.93 },
    { demand: 'Q26-03', with: 0.95, without: 0.955 },
  ],
}

describe('what a no would free', () => {
  it('is planned only when somebody asks', async () => {
    const { user } = stage(<No demand="Q26-08" />)
    const get = answers(FREED)
    expect(get).not.toHaveBeenCalled()
    await user.click(screen.getByRole('button', { name: 'What would a no to Q26-08 free?' }))
    const told = await screen.findByTestId('no')
    expect(get).toHaveBeenCalledOnce()
    expect(told.textContent).toContain('about 12 hours, 62 cups and 840 nuc days')
    expect(told.textContent).toContain('These would hold then: Q26-05.')
  })

  it('names whom it moves, and nobody whom it hardly moves', async () => {
    const { user } = stage(<No demand="Q26-08" />)
    answers(FREED)
    await user.click(screen.getByRole('button'))
    const told = await screen.findByTestId('no')
    expect(told.textContent).toMatch(/Q26-05: 42.% with it, 93.% without it/)
    expect(told.textContent).not.toContain('Q26-03')
  })

  it('says so where nobody else gains by it', async () => {
    const { user } = stage(<No demand="Q26-08" />)
    answers({ ...FREED, gains: [], others: [{ demand: 'Q26-03', with: 0.95, without: 0.95 }] })
    await user.click(screen.getByRole('button'))
    expect((await screen.findByTestId('no')).textContent).toContain('Nobody else would stand')
  })

  it('tells more hours as more, not as fewer than none', async () => {
    const { user } = stage(<No demand="Q26-08" />)
    answers({ ...FREED, hours: -3.2 })
    await user.click(screen.getByRole('button'))
    expect((await screen.findByTestId('no')).textContent).toContain('about 3 hours more of work')
  })

  it('an order that is gone meanwhile is told, and nothing is made up', async () => {
    const { user } = stage(<No demand="Q26-08" />)
    vi.spyOn(api, 'GET').mockResolvedValue({
      error: { detail: 'There is no open order of that name.', findings: [] },
      response: new Response(null, { status: 404 }),
    } as never)
    await user.click(screen.getByRole('button'))
    expect(await screen.findByText(/no open order of that name/)).toBeTruthy()
    expect(screen.queryByTestId('no')).toBeNull()
  })
})
