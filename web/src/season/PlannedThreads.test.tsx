// @vitest-environment jsdom
import { useQuery } from '@tanstack/react-query'
import { screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../api/client'
import type { PlannedLine, SeasonPage } from '../api/types'
import { laidOut, stage } from '../testing/stage'
import { PlannedThreads } from './PlannedThreads'
import { seasonQuery } from './queries'

const line = (graft: string, day: string): PlannedLine => ({
  graft,
  code: graft,
  batch: {
    day,
    builder: 'B 1',
    breeder: 'runa',
    breederName: 'Runa',
    line: 'Runa',
    cups: 30,
    shares: [],
    spare: 0,
    locked: graft === 'after',
  },
})

const season = (planned: PlannedLine[]) =>
  ({ today: '2026-06-09', planned, standings: [], breaks: [] }) as unknown as SeasonPage

function Chart() {
  const { data } = useQuery(seasonQuery)
  return data && <PlannedThreads season={data} />
}

beforeEach(laidOut)

describe('a planned graft under the hand', () => {
  it('is put down when the plan comes back without it: moved, it is planned anew', async () => {
    const { user, now } = stage(<Chart />, { season: season([line('before', '2026-06-20')]) })
    vi.spyOn(api, 'POST').mockResolvedValue({
      data: { chances: {}, breaks: [] },
      response: new Response(null, { status: 200 }),
    } as never)
    ;(await screen.findByRole('button', { name: /^Graft of/ })).focus()
    await user.keyboard('{ArrowRight}{ArrowRight}')
    expect(screen.getByTestId('moving')).toBeTruthy()
    now('season', season([line('after', '2026-06-22')]))
    await waitFor(() => expect(screen.queryByTestId('moving')).toBeNull())
    expect(screen.getByText(/fixed/)).toBeTruthy()
  })
})
