// @vitest-environment jsdom
import { screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { api } from '../api/client'
import type { WeekAheadView } from '../api/types'
import { stage } from '../testing/stage'
import { WeekAhead, WeekSteps } from './WeekAhead'

const week = (more: Partial<WeekAheadView>): WeekAheadView =>
  ({ grafts: [], placings: [], keptBack: [], orders: [], notes: [], ...more }) as WeekAheadView

const graft = (day: string, cups: number, more = {}) => ({
  day,
  kind: 'QUEENS',
  cups,
  place: cups,
  ifs: [],
  reasons: [],
  ...more,
})

describe('the week ahead', () => {
  it('says what each graft hangs on, the none as none', () => {
    stage(
      <WeekSteps
        page={week({
          grafts: [
            graft('2026-06-12', 24),
            graft('2026-06-16', 9, {
              ifs: [
                { takes: 12, cups: 14 },
                { takes: 18, cups: 9 },
                { takes: 23, cups: 0 },
              ],
            }),
          ] as WeekAheadView['grafts'],
        })}
      />,
    )
    expect(screen.getByText('Graft 24 cups')).toBeTruthy()
    const ifs = screen.getByText(/of the graft before take/).textContent
    expect(ifs).toContain('if 12 of the graft before take: 14 cups')
    expect(ifs).toContain('if 23 take: none')
  })

  it('says how many of today go to an order that they do not make whole, and for whom the rest is kept', () => {
    const kept = {
      day: '2026-06-15',
      demand: 'Weir',
      there: 7,
      others: ['Alm', 'Farm'],
      reasons: [],
    }
    stage(
      <WeekSteps
        page={week({
          keptBack: [
            { ...kept, give: 2 },
            { ...kept, demand: 'Mill', give: 0 },
          ] as WeekAheadView['keptBack'],
        })}
      />,
    )
    expect(screen.getByText('Hand over 2 queens')).toBeTruthy()
    expect(screen.getByText(/for Weir, and keep 5 for Alm, Farm/)).toBeTruthy()
    expect(screen.getByText('Hand over no queen yet')).toBeTruthy()
    expect(screen.getByText(/for Mill, and keep 7/)).toBeTruthy()
  })

  it('tells the cells that nobody is to get, so that they can be sold in time', () => {
    stage(
      <WeekSteps
        page={week({
          placings: [
            {
              day: '2026-06-10',
              batch: 'G 4',
              ripe: 31,
              place: 22,
              at: [
                { yard: 'Low Meadow', cells: 14 },
                { yard: 'High Pasture', cells: 8 },
              ],
              over: 9,
              reasons: [],
            },
          ] as WeekAheadView['placings'],
        })}
      />,
    )
    expect(screen.getByText('Place 22 cells')).toBeTruthy()
    expect(screen.getByText('Where: Low Meadow 14, High Pasture 8.')).toBeTruthy()
    expect(screen.getByText(/9 cells are over: offer them/)).toBeTruthy()
  })

  it('shows what stands on the calendar beside what is advised', () => {
    stage(
      <WeekSteps
        page={week({ grafts: [graft('2026-06-12', 24)] as WeekAheadView['grafts'] })}
        planned={[
          { day: '2026-06-12', cups: 30 },
          { day: '2026-06-12', cups: 15 },
          { day: '2026-06-13', cups: 7 },
        ]}
      />,
    )
    expect(screen.getByText('On the calendar: 45 cups.')).toBeTruthy()
  })

  it('with nothing to do says so', () => {
    stage(<WeekSteps page={week({})} />)
    expect(screen.getByText(/Nothing to graft or to place/)).toBeTruthy()
  })

  it('reckons the odds with planning again only where they are looked at, and shows both', async () => {
    const { user } = stage(<WeekAhead planned={[]} />, {
      'season week': week({
        orders: [
          {
            demand: 'Q26-08',
            product: 'MATED_QUEENS',
            count: 45,
            until: '2026-08-02',
            ifNothingMore: 0.12,
            helpsUntil: '2026-07-08',
          },
          {
            demand: 'Q26-01',
            product: 'MATED_QUEENS',
            count: 12,
            until: '2026-06-12',
            ifNothingMore: 0.99,
          },
        ] as WeekAheadView['orders'],
      }),
    })
    const get = vi.spyOn(api, 'GET').mockResolvedValue({
      data: [{ demand: 'Q26-08', chance: 0.91, lives: 30 }],
      response: new Response(null, { status: 200 }),
    } as never)
    expect(get).not.toHaveBeenCalled()
    await user.click(screen.getByRole('button', { name: 'How each order stands' }))
    const order = (await screen.findByText(/91.% with planning again/)).closest('li')
    expect(order?.textContent).toMatch(/12.% if nothing more is grafted/)
    expect(order?.textContent).toContain('A graft helps until')
    expect(screen.getByText('Q26-01').closest('li')?.textContent).toContain(
      'No graft helps any more.',
    )
  })

  it('puts what stands in the way where it is seen', () => {
    stage(<WeekAhead planned={[]} />, {
      'season week': week({
        notes: [{ text: 'Builders are short.', source: '' }] as WeekAheadView['notes'],
      }),
    })
    expect(screen.getByText('Builders are short.').className).toContain('text-crown')
  })
})
