// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import type { Stop } from '../api/types'
import { cell, stage } from '../testing/stage'
import { workOf } from './work'
import { WorkRow } from './WorkRow'

const check = (code: string, more: Partial<Stop> = {}): Stop => ({
  code,
  job: 'CHECK_EMERGENCE',
  text: 'Emerged?',
  subject: code,
  subjectKind: 'QUEEN',
  overdue: false,
  reasons: [],
  queen: cell(code),
  window: { earliest: '2026-06-09', likely: '2026-06-09', latest: '2026-06-09' },
  ...more,
})

function Row({ stops }: { stops: Stop[] }) {
  const [open, setOpen] = useState('')
  const [work] = workOf(stops)
  return <ul>{work && <WorkRow work={work} today="2026-06-09" open={open} onOpen={setOpen} />}</ul>
}

const row = Array.from({ length: 12 }, (_, index) => check(`W ${27 + index}`))

describe('a row of one kind of work', () => {
  it('all as expected is one tap, one entry a box', async () => {
    const { user, deeds } = stage(<Row stops={row} />)
    await user.click(screen.getByRole('button', { name: /12/ }))
    await waitFor(() => expect(deeds()).toHaveLength(12))
    expect(new Set(deeds().map((one) => 'sight' in one && one.sight))).toEqual(new Set(['EMERGED']))
  })

  it('unfolds one box at a time, with all that may be seen there', async () => {
    const { user, deeds } = stage(<Row stops={row} />)
    await user.click(screen.getByRole('button', { name: /^W 30/ }))
    await user.click(screen.getByRole('button', { name: /^W 31/ }))
    expect(screen.getAllByTestId('stop')).toHaveLength(1)
    await user.click(screen.getByRole('button', { name: 'Dud' }))
    await waitFor(() => expect(deeds()).toHaveLength(1))
    expect(deeds()[0]).toMatchObject({ kind: 'QUEEN_SEEN', queen: 'W 31', sight: 'DUD' })
  })

  it('marks what was late, on the row and at its box', () => {
    stage(<Row stops={[check('W 1', { overdue: true }), check('W 2'), check('W 3')]} />)
    expect(screen.getByRole('heading').textContent).toMatch(/1/)
    expect(screen.getByRole('button', { name: /W 1.*overdue/ })).toBeTruthy()
  })

  it('never says all of a row in which one box has no one answer', () => {
    stage(<Row stops={[check('W 1'), check('W 2', { job: 'MARK', subject: 'q2' })]} />)
    expect(screen.queryByRole('button', { name: /all/i })).toBeNull()
  })
})
