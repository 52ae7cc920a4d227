import { expect, it } from 'vitest'
import type { Introduction } from '../api/types'
import { byDay } from './board'

const one = (hiveCode: string, ...due: [string, string, string, boolean?][]): Introduction => ({
  id: hiveCode,
  hive: hiveCode,
  hiveCode,
  yardName: '',
  code: 'q',
  method: 'CAGE_BY_HAND',
  methodText: '',
  since: '2026-06-01',
  opens: '2026-06-04',
  inCage: true,
  readings: [],
  looks: [],
  next: due.map(([task, earliest, latest, urgent = false]) => ({
    task: task as 'EGGS',
    when: { earliest, likely: earliest, latest },
    text: '',
    urgent,
    choices: [],
  })),
})

it('what is late stands before today, today before later, and what does not wait stands first', () => {
  const board = byDay(
    [
      one('A', ['EGGS', '2026-06-12', '2026-06-15'], ['SECOND_CUT', '2026-06-09', '2026-06-09']),
      one('B', ['READ_BEES', '2026-06-07', '2026-06-08']),
      one('C', ['TAKE_HER_OUT', '2026-06-09', '2026-06-09', true]),
    ],
    '2026-06-09',
  )
  expect(board.map(({ group }) => group)).toEqual(['late', 'today', 'later'])
  expect(board[1]?.rows.map(({ one }) => one.hiveCode)).toEqual(['C', 'A'])
})

it('days on which nothing is due are left out', () => {
  expect(byDay([], '2026-06-09')).toEqual([])
})
