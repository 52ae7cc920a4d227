// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { describe, expect, it, vi } from 'vitest'
import { cell, stage } from '../testing/stage'
import { isComplete, type GraftDraft } from './graftDraft'
import { PlanForm } from './PlanForm'

const DRAFT: GraftDraft = {
  id: 'g1',
  mother: '',
  builder: '',
  grafter: 'Ilva',
  day: '2026-06-10',
  hour: '14:00',
  larvaAge: 'FROM_12_TO_24_H',
  placing: 'CELLS_TO_NUCS',
  bars: 3,
  cupsPerBar: 15,
  incubatorCelsius: 34.5,
}
const KNOWN = {
  'queens breeders': [cell('R-24-03', { name: 'Runa', stage: 'JUDGED' })],
  builders: [{ id: 'b1', code: 'B 1', yard: 'Weir Bend', school: 'STARTER_FINISHER' }],
  settings: { settings: { units: 'US' }, formats: {} },
}

function Planning({ onKept }: { onKept: () => void }) {
  const [draft, setDraft] = useState(DRAFT)
  return <PlanForm draft={draft} onChange={setDraft} onKept={onKept} />
}

describe('planning a graft', () => {
  it('is not sent without a mother and a builder', async () => {
    const { user, sent } = stage(<Planning onKept={() => {}} />, KNOWN)
    await user.click(screen.getByRole('button', { name: 'Keep as plan' }))
    expect(sent).toHaveLength(0)
  })

  it('kept as done it is planned and done, at the hour that was given', async () => {
    const kept = vi.fn()
    const { user, sent } = stage(<Planning onKept={kept} />, KNOWN)
    await user.selectOptions(screen.getByLabelText('Breeder queen'), 'R-24-03')
    await user.selectOptions(screen.getByLabelText('Builder'), 'b1')
    await user.click(screen.getByRole('button', { name: 'Grafted: keep it' }))
    await waitFor(() => expect(kept).toHaveBeenCalledOnce())
    expect(sent.map((entry) => entry.deed.kind)).toEqual(['GRAFT_PLANNED', 'GRAFT_DONE'])
    expect(sent[0]?.deed).toMatchObject({
      graft: 'g1',
      plannedFor: '2026-06-10T14:00:00+02:00',
      bars: 3,
      cupsPerBar: 15,
      fixed: true,
    })
    expect(sent[1]?.happenedAt).toBe('2026-06-10T14:00:00+02:00')
  })

  it('kept as a plan it is only planned; the incubator is asked for in the units that are read', async () => {
    const { user, sent } = stage(<Planning onKept={() => {}} />, KNOWN)
    await user.selectOptions(screen.getByLabelText('Breeder queen'), 'R-24-03')
    await user.selectOptions(screen.getByLabelText('Builder'), 'b1')
    await user.selectOptions(screen.getByLabelText('Ripe cells go'), 'EMERGE_IN_INCUBATOR')
    const warmth = screen.getByLabelText<HTMLInputElement>('Incubator, °F')
    expect(warmth.value).toBe('94')
    await user.clear(warmth)
    await user.type(warmth, '95')
    await user.click(screen.getByRole('button', { name: 'Keep as plan' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]?.deed).toMatchObject({ kind: 'GRAFT_PLANNED', incubatorCelsius: 35 })
  })

  it('a calendar wants a mother, a builder, a day and an hour', () => {
    expect(isComplete(DRAFT)).toBe(false)
    expect(isComplete({ ...DRAFT, mother: 'm', builder: 'b' })).toBe(true)
    expect(isComplete({ ...DRAFT, mother: 'm', builder: 'b', hour: '' })).toBe(false)
  })
})
