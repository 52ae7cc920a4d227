// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import { stage } from '../testing/stage'
import { BoxPad, SidePad } from './ReadPads'
import { EMPTY, type Draft, type Place } from './reading'

let draft: Draft = EMPTY

function Whole() {
  const [now, setNow] = useState<Draft>(EMPTY)
  draft = now
  return <BoxPad draft={now} onChange={setNow} />
}

function Side() {
  const [now, setNow] = useState<Draft>(EMPTY)
  const [place, setPlace] = useState<Place | undefined>({ box: 1, slot: 3, side: 'NEAR' })
  draft = now
  return place ? (
    <SidePad draft={now} place={place} onChange={setNow} onPlace={setPlace} />
  ) : (
    <p>whole</p>
  )
}

const key = (sign: string) => document.querySelector<HTMLElement>(`[data-sign=${sign}]`)!

describe('the reading pad', () => {
  it('a sign is seen with one tap, looked for and absent with two, not looked at with three', async () => {
    const { user } = stage(<Whole />)
    await user.click(key('LARVAE'))
    expect(draft.seen).toContain('LARVAE')
    await user.click(key('LARVAE'))
    expect(draft.absent).toContain('LARVAE')
    expect(draft.seen).not.toContain('LARVAE')
    await user.click(key('LARVAE'))
    expect([...draft.seen, ...draft.absent]).not.toContain('LARVAE')
  })

  it('rarer signs are one tap away', async () => {
    const { user } = stage(<Whole />)
    const few = document.querySelectorAll('[data-sign]').length
    await user.click(screen.getByRole('button', { name: 'More signs' }))
    expect(document.querySelectorAll('[data-sign]').length).toBeGreaterThan(few)
  })

  it('what is on a side is kept for that side alone', async () => {
    const { user } = stage(<Side />)
    await user.click(key('SEALED_HONEY'))
    expect(draft.sides).toEqual([
      expect.objectContaining({ box: 1, slot: 3, side: 'NEAR', signs: ['SEALED_HONEY'] }),
    ])
    await user.click(screen.getByRole('button', { name: /other side|Flip|Turn over/i }))
    expect(key('SEALED_HONEY').dataset.told).toBe('unlooked')
  })
})
