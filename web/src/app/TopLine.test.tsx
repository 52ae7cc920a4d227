// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react'
import { useRef } from 'react'
import { describe, expect, it } from 'vitest'
import { Act } from '../queens/Act'
import { cell, stage } from '../testing/stage'
import { TopLine } from './TopLine'

function Evening() {
  const find = useRef<HTMLInputElement>(null)
  return (
    <>
      <TopLine find={find} />
      <Act queen={cell('R-26-01', { stage: 'LAYING' })} />
    </>
  )
}

describe('the day that is written up', () => {
  it('is today unless somebody says another, and then stands on everything that is recorded', async () => {
    const { user, sent } = stage(<Evening />)
    await user.click(screen.getByRole('button', { name: 'Eggs' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]?.happenedAt).toMatch(/^2026-06-09T/)
    await user.click(screen.getByTestId('writing-up'))
    fireEvent.change(screen.getByLabelText(/dated/), { target: { value: '2026-06-06' } })
    await user.keyboard('{Escape}')
    expect(screen.getByTestId('writing-up').textContent).toContain('6 June')
    await user.click(screen.getByRole('button', { name: 'Eggs' }))
    await waitFor(() => expect(sent).toHaveLength(2))
    expect(sent[1]?.happenedAt).toMatch(/^2026-06-06T/)
  })

  it('never lies ahead', async () => {
    const { user, sent } = stage(<Evening />)
    await user.click(screen.getByTestId('writing-up'))
    fireEvent.change(screen.getByLabelText(/dated/), { target: { value: '2026-07-01' } })
    await user.keyboard('{Escape}')
    await user.click(screen.getByRole('button', { name: 'Eggs' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]?.happenedAt).toMatch(/^2026-06-09T/)
  })
})
