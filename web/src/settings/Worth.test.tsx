// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import type { Settings } from '../api/types'
import { stage } from '../testing/stage'
import { OwnScale } from './OwnScale'
import { Worth } from './Worth'

type Minutes = Settings['worth']
type Scale = Settings['scale']

const kept: { worth?: Minutes; scale?: Scale } = {}

function Costs() {
  const [worth, setWorth] = useState<Minutes>()
  kept.worth = worth
  return <Worth worth={worth} setWorth={setWorth} />
}

function Marks() {
  const [scale, setScale] = useState<Scale>()
  kept.scale = scale
  return <OwnScale scale={scale} setScale={setScale} />
}

const put = async (user: ReturnType<typeof stage>['user'], name: string, value: string) => {
  const field = screen.getByLabelText(name)
  await user.clear(field)
  await user.type(field, value)
  await user.tab()
}

describe('what is worth how much', () => {
  it('is said in hours and kept in minutes, beside what is usual', async () => {
    const { user } = stage(<Costs />)
    expect((screen.getByLabelText('An order not whole') as HTMLInputElement).value).toBe('40')
    await put(user, 'An order not whole', '5')
    expect(kept.worth).toEqual({ lateQueen: 60, lateOrder: 300, wastedQueen: 20, nucDay: 0.2 })
  })

  it('goes back to the usual', async () => {
    const { user } = stage(<Costs />)
    expect(screen.queryByRole('button', { name: 'Back to the usual' })).toBeNull()
    await put(user, 'A queen over', '2')
    expect(kept.worth?.wastedQueen).toBe(120)
    await user.click(screen.getByRole('button', { name: 'Back to the usual' }))
    expect(kept.worth).toBeUndefined()
  })

  it('of a field left empty the usual is meant, not nothing', async () => {
    const { user } = stage(<Costs />)
    await user.clear(screen.getByLabelText('A queen short'))
    await user.tab()
    expect(kept.worth?.lateQueen).toBe(60)
    expect((screen.getByLabelText('A queen short') as HTMLInputElement).value).toBe('1')
  })
})

describe('the scale of marks', () => {
  it('is one to four by halves until it is said otherwise', async () => {
    const { user } = stage(<Marks />)
    const values = screen.getAllByRole('spinbutton').map((one) => (one as HTMLInputElement).value)
    expect(values).toEqual(['1', '4', '0.5'])
    await user.clear(screen.getAllByRole('spinbutton')[1] as HTMLElement)
    await user.type(screen.getAllByRole('spinbutton')[1] as HTMLElement, '10')
    await user.tab()
    expect(kept.scale).toEqual({ least: 1, most: 10, step: 0.5 })
  })
})
