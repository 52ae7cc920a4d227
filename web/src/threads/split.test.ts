import { expect, it } from 'vitest'
import { splitAtToday } from './split'

const TODAY = '2026-06-09'

it('cuts the strand that runs through today and leaves the others whole', () => {
  const parts = splitAtToday(
    [
      { character: 'CELL', from: '2026-05-25', until: '2026-06-06' },
      { character: 'VIRGIN', from: '2026-06-06', until: '2026-06-11' },
      { character: 'MATING', from: '2026-06-11', until: '2026-06-17' },
    ],
    TODAY,
  )
  expect(parts.map((part) => [part.character, part.from, part.until, part.expected])).toEqual([
    ['CELL', '2026-05-25', '2026-06-06', false],
    ['VIRGIN', '2026-06-06', TODAY, false],
    ['VIRGIN', TODAY, '2026-06-11', true],
    ['MATING', '2026-06-11', '2026-06-17', true],
  ])
})
