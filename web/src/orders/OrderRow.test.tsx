// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { OrderLine } from '../api/types'
import { stage } from '../testing/stage'
import { OrderRow } from './OrderRow'

const line: OrderLine = {
  id: 'o1',
  code: 'Q26-01',
  order: {
    customer: 'Moss End',
    ownNeed: false,
    product: 'MATED_QUEENS',
    count: 4,
    from: '2026-06-01',
    until: '2026-06-12',
    priority: 2,
  },
  state: 'PROMISED',
  asked: 4,
  delivered: 0,
  left: 3,
  promised: [{ id: 'q1', code: '26-01-101', delivered: false }],
}

const acts = () => screen.getAllByRole('button').map((one) => one.textContent)

describe('an order', () => {
  it('is handed over by crew, and moved on and changed by the owner alone', async () => {
    const { user } = stage(<OrderRow line={line} standing={undefined} />, {}, { role: 'CREW' })
    await user.click(screen.getByRole('button', { name: /Q26-01.*Moss End/ }))
    expect(acts()).toEqual(expect.arrayContaining(['Set queens aside', 'Hand over']))
    expect(acts()).not.toEqual(expect.arrayContaining(['Change']))
    expect(acts()).not.toEqual(expect.arrayContaining(['Decline']))
  })

  it('can be moved on and changed by the owner', async () => {
    const { user } = stage(<OrderRow line={line} standing={undefined} />)
    await user.click(screen.getByRole('button', { name: /Q26-01.*Moss End/ }))
    expect(acts()).toEqual(
      expect.arrayContaining(['Change', 'Decline', 'Set queens aside', 'Hand over']),
    )
  })
})
