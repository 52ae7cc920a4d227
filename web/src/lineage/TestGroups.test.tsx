// @vitest-environment jsdom
import { screen, within } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { api } from '../api/client'
import type { LinesPage } from '../api/types'
import { stage, yard } from '../testing/stage'
import { TestGroups } from './TestGroups'

const mother = (id: string, more = {}) =>
  ({
    id,
    code: id.toUpperCase(),
    alive: true,
    breeder: true,
    ...more,
  }) as unknown as LinesPage['mothers'][number]

const show = (mothers: LinesPage['mothers']) =>
  stage(<TestGroups mothers={mothers} />, {
    yards: [yard('weir', 'Weir Bend'), yard('scar', 'Scar Top')],
  })

describe('test groups', () => {
  it('are of mothers that live and are grafted from', () => {
    show([mother('runa'), mother('old', { alive: false }), mother('dear', { breeder: false })])
    expect(screen.getByLabelText('RUNA')).toBeTruthy()
    expect(screen.queryByLabelText('OLD')).toBeNull()
    expect(screen.queryByLabelText('DEAR')).toBeNull()
  })

  it('without such a mother there is nothing to compare', () => {
    show([mother('old', { alive: false })])
    expect(screen.queryByText('Test groups')).toBeNull()
  })

  it('say first how many places there are, then share the daughters out', async () => {
    const { user } = show([mother('runa'), mother('selva')])
    expect(screen.getByText(/Say first how many colonies/)).toBeTruthy()
    const post = vi.spyOn(api, 'POST').mockResolvedValue({
      data: {
        yards: [
          { yard: 'weir', name: 'Weir Bend', daughters: { runa: 4, selva: 3 } },
          { yard: 'scar', name: 'Scar Top', daughters: { runa: 4 } },
        ],
        warnings: ['SELVA sends 3 daughters: with fewer than 6 luck decides.'],
      },
      response: new Response(null, { status: 200 }),
    } as never)
    await user.clear(screen.getByLabelText('SELVA'))
    await user.type(screen.getByLabelText('SELVA'), '3')
    await user.clear(screen.getByLabelText('Weir Bend'))
    await user.type(screen.getByLabelText('Weir Bend'), '7')
    await user.click(screen.getByRole('button', { name: 'Share them out' }))
    expect(post).toHaveBeenCalledWith('/api/v1/lines/test-groups', {
      body: {
        mothers: [
          { queen: 'runa', daughters: 6 },
          { queen: 'selva', daughters: 3 },
        ],
        yards: [{ yard: 'weir', places: 7 }],
      },
    })
    const table = within(await screen.findByRole('table'))
    expect(table.getAllByRole('row').map((row) => row.textContent)).toEqual([
      'YardRUNASELVA',
      'Weir Bend43',
      'Scar Top40',
    ])
    expect(screen.getByText(/luck decides/)).toBeTruthy()
  })

  it('what is refused is told', async () => {
    const { user } = show([mother('runa')])
    vi.spyOn(api, 'POST').mockResolvedValue({
      error: { detail: 'There are fewer places than daughters.', findings: [] },
      response: new Response(null, { status: 422 }),
    } as never)
    await user.click(screen.getByRole('button', { name: 'Share them out' }))
    expect((await screen.findByRole('alert')).textContent).toContain('fewer places')
  })
})
