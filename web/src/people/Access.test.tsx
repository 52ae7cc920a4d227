// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { stage } from '../testing/stage'
import { Access } from './Access'

const line = (id: string, what: string, more: object = {}) => ({
  id,
  what,
  happenedAt: '2026-06-09T12:05:00Z',
  person: 'Jory Malcanten',
  source: '203.0.113.9',
  device: 'a phone',
  ...more,
})

describe('who came in', () => {
  it('is told with when by the clock of the place, from where, and who did it', () => {
    stage(<Access />, {
      'people access': {
        pages: [
          {
            items: [
              line('3', 'MADE_OWNER', { by: 'Ilva Torrenz' }),
              line('2', 'WRONG_PASSWORD'),
              line('1', 'SIGNED_IN'),
            ],
          },
        ],
        pageParams: [undefined],
      },
    })
    const lines = screen.getAllByTestId('access').map((one) => one.textContent)
    expect(lines[0]).toContain('Jory Malcanten was made an owner by Ilva Torrenz')
    expect(lines[1]).toContain('A wrong password for Jory Malcanten')
    expect(lines[1]).toContain('203.0.113.9')
    expect(lines[2]).toContain('Tue 9 June, 14:05')
  })
})
