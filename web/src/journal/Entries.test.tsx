// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Deed, JournalLine } from '../api/types'
import { stage, yard } from '../testing/stage'
import { Entries } from './Entries'

const line = (id: string, deed: Deed, more: Partial<JournalLine> = {}): JournalLine => ({
  id,
  happenedAt: '2026-06-05T10:00:00+02:00',
  recordedAt: '2026-06-05T08:00:00Z',
  by: 'Jory',
  deed,
  stands: true,
  correctable: true,
  removable: true,
  ...more,
})
const moved: Deed = { kind: 'HIVE_MOVED', hive: 'h1', yard: 'y1', position: 3 }
const opened: Deed = {
  kind: 'YARD_OPENED',
  yard: 'y1',
  name: 'Weir Bend',
  prefix: 'W',
  walkOrder: 1,
  latitude: 46,
  longitude: 8,
  elevationMetres: 310,
  caution: '',
}

const known = (...lines: JournalLine[]) => ({
  'journal h1': { pages: [{ items: lines }], pageParams: [undefined] },
  yards: [yard('y1', 'Weir Bend')],
  hives: [],
})

describe('what is recorded of a thing', () => {
  it('is told in words, with who and when, and what was corrected struck out', () => {
    stage(
      <Entries subject="h1" label="H 1" />,
      known(line('e2', moved), line('e1', moved, { stands: false })),
    )
    const entries = screen.getAllByTestId('entry')
    expect(entries.map((one) => one.dataset.stands)).toEqual(['false', 'true'])
    expect(entries[1]?.textContent).toContain('Moved: Weir Bend, 3')
    expect(entries[1]?.textContent).toContain('Jory')
  })

  it('is dated anew in place of the first, which stays readable', async () => {
    const { user, sent } = stage(<Entries subject="h1" label="H 1" />, known(line('e1', moved)))
    await user.click(screen.getByRole('button', { name: /^Correct/ }))
    const day = screen.getByLabelText('On')
    await user.clear(day)
    await user.type(day, '2026-06-02')
    await user.click(screen.getByRole('button', { name: 'Keep the correction' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]).toMatchObject({ corrects: 'e1', deed: moved })
    expect(sent[0]?.happenedAt).toMatch(/^2026-06-02T.*\+02:00$/)
  })

  it('is taken back', async () => {
    const { user, sent } = stage(<Entries subject="h1" label="H 1" />, known(line('e1', moved)))
    await user.click(screen.getByRole('button', { name: /^Correct/ }))
    await user.click(screen.getByRole('button', { name: 'Take it away' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]).toMatchObject({ corrects: 'e1', deed: { kind: 'WITHDRAWN' } })
  })

  it('another sight takes the place of what was seen of a queen', async () => {
    const seen: Deed = { kind: 'QUEEN_SEEN', queen: 'h1', sight: 'EMERGED' }
    const { user, sent } = stage(<Entries subject="h1" label="Q" />, known(line('e1', seen)))
    await user.click(screen.getByRole('button', { name: /^Correct/ }))
    await user.selectOptions(screen.getByLabelText('Instead'), 'DUD')
    await user.click(screen.getByRole('button', { name: 'Keep the correction' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]?.deed).toEqual({ ...seen, sight: 'DUD' })
  })

  it('what is the owner’s to say is the owner’s to put right', () => {
    stage(
      <Entries subject="h1" label="Weir Bend" />,
      known(line('e1', opened, { correctable: false })),
      {
        role: 'CREW',
      },
    )
    expect(screen.queryByRole('button', { name: /^Correct/ })).toBeNull()
  })

  it('what an owner recorded is put right, and not taken away', async () => {
    const { user } = stage(
      <Entries subject="h1" label="H 1" />,
      known(line('e1', moved, { removable: false })),
      { role: 'CREW' },
    )
    await user.click(screen.getByRole('button', { name: /^Correct/ }))
    expect(screen.getByRole('button', { name: 'Keep the correction' })).toBeDefined()
    expect(screen.queryByRole('button', { name: 'Take it away' })).toBeNull()
  })
})
