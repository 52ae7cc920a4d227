import { expect, test } from 'vitest'
import { moved } from './beside'
import { byWhomTheyHelp } from './WaysOut'

test('whom a plan costs comes before whom it serves, and what hardly moves is left out', () => {
  const now = [
    { demand: 'A', chance: 0.9 },
    { demand: 'B', chance: 0.2 },
    { demand: 'C', chance: 0.95 },
  ]
  const plan = [
    { demand: 'A', chance: 0.6 },
    { demand: 'B', chance: 0.93 },
    { demand: 'C', chance: 0.94 },
    { demand: 'new', chance: 0.5 },
  ]
  expect(moved(now, plan)).toEqual([
    { demand: 'A', from: 0.9, to: 0.6 },
    { demand: 'B', from: 0.2, to: 0.93 },
  ])
})

test('ways out stand by whom they help, several together first', () => {
  const way = (kind: 'NUCS' | 'BUY_IN', helps: string[], text: string) => ({
    kind,
    amount: 1,
    helps,
    loses: [],
    hours: 0,
    text,
  })
  const groups = byWhomTheyHelp([
    way('BUY_IN', ['A'], 'Buy in 2 for A.'),
    way('NUCS', ['A', 'B'], 'With 9 more nucs these hold: A, B.'),
    way('NUCS', ['A'], 'With 4 more nucs these hold: A.'),
  ])
  expect(groups.map((one) => [one.whom, one.ways.length])).toEqual([
    ['A, B', 1],
    ['A', 2],
  ])
})
