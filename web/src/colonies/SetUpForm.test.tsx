// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import type { ColonyPage } from '../api/types'
import { stage, yard } from '../testing/stage'
import { SetUpForm } from './SetUpForm'

const KNOWN = {
  yards: [yard('y1', 'Weir Bend'), { ...yard('y2', 'Old Kiln'), closedOn: '2026-05-01' }],
  settings: { settings: { units: 'METRIC' }, formats: { Dadant: 11.3 } },
}

describe('setting up a hive', () => {
  it('records it once, with a box full of frames, in a yard that is open', async () => {
    const done = vi.fn()
    const { user, deeds } = stage(<SetUpForm onDone={done} />, KNOWN)
    expect(screen.queryByText('Old Kiln')).toBeNull()
    await user.type(screen.getByLabelText('Code on the hive'), ' H 90 ')
    await user.click(screen.getByRole('button', { name: 'Keep' }))
    await waitFor(() => expect(done).toHaveBeenCalledOnce())
    expect(deeds()).toMatchObject([
      {
        kind: 'HIVE_SET_UP',
        code: 'H 90',
        yard: 'y1',
        purpose: 'PRODUCTION',
        stack: [{ kind: 'BROOD', format: 'Dadant', slots: 10, frames: 10 }],
      },
    ])
  })

  it('says what the server refuses, and keeps what was typed', async () => {
    const done = vi.fn()
    const { user, answers, sent } = stage(<SetUpForm onDone={done} />, KNOWN)
    answers(['There is a hive H 90 already.'])
    await user.type(screen.getByLabelText('Code on the hive'), 'H 90')
    await user.click(screen.getByRole('button', { name: 'Keep' }))
    expect((await screen.findByRole('alert')).textContent).toContain(
      'There is a hive H 90 already.',
    )
    expect(screen.getByLabelText<HTMLInputElement>('Code on the hive').value).toBe('H 90')
    expect(done).not.toHaveBeenCalled()
    answers('ok')
    await user.click(screen.getByRole('button', { name: 'Keep' }))
    await waitFor(() => expect(sent).toHaveLength(1))
  })

  it('without a signal it waits on the device, and the work goes on', async () => {
    const done = vi.fn()
    const { user, answers, sent } = stage(<SetUpForm onDone={done} />, KNOWN)
    answers('no signal')
    await user.type(screen.getByLabelText('Code on the hive'), 'H 91')
    await user.click(screen.getByRole('button', { name: 'Keep' }))
    await waitFor(() => expect(done).toHaveBeenCalledOnce())
    expect(sent).toHaveLength(0)
  })

  it('of a hive that is there only what was changed is recorded', async () => {
    const page = {
      colony: {
        id: 'h1',
        code: 'H 1',
        yard: 'y1',
        purpose: 'PRODUCTION',
      },
      position: 4,
      queens: [],
    } as unknown as ColonyPage
    const { user, deeds } = stage(<SetUpForm page={page} onDone={() => {}} />, KNOWN)
    await user.selectOptions(screen.getByLabelText('Kept for'), 'NUC')
    await user.click(screen.getByRole('button', { name: 'Keep' }))
    await waitFor(() => expect(deeds()).toHaveLength(1))
    expect(deeds()[0]).toEqual({ kind: 'HIVE_REPURPOSED', hive: 'h1', purpose: 'NUC' })
  })
})
