import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, render } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { ReactNode } from 'react'
import { MemoryRouter } from 'react-router'
import { afterEach, vi } from 'vitest'
import { api } from '../api/client'
import type { Deed, Entry, Queen, Session } from '../api/types'
import { KeysProvider } from '../app/keys'
import '../i18n'
import { RecordProvider } from '../outbox/RecordContext'
import { SessionContext } from '../session/queries'

const SESSION: Session = {
  personId: 'ilva',
  name: 'Ilva',
  role: 'OWNER',
  operation: 'Sallow Ridge',
  zone: 'Europe/Zurich',
  today: '2026-06-09',
  demo: false,
  hasCalendarLink: false,
}

type Known = Record<string, unknown>

/** What a stage tells of: what was sent so far, and who uses it. */
export type Stage = {
  user: ReturnType<typeof userEvent.setup>
  sent: Entry[]
  deeds: () => Deed[]
  /** from now on the server answers so; nothing is anything but "ok" */
  answers: (how: 'ok' | 'no signal' | string[]) => void
  /** the server's answer to this question is another one now */
  now: (key: string, data: unknown) => void
}

/**
 * Puts something on screen as somebody signed in sees it, before a server that knows what it is told and keeps what it is
 * sent.
 *
 * @param known answers of the server, by what asks for them
 * @param told what the server answers to whoever asks for a path; nothing is to be asked for if left out
 */
export function stage(
  shown: ReactNode,
  known: Known = {},
  session: Partial<Session> = {},
  told?: (path: string) => unknown,
): Stage {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: 1e9 } } })
  Object.entries(known).forEach(([key, data]) => client.setQueryData(key.split(' '), data))
  const sent: Entry[] = []
  let how: 'ok' | 'no signal' | string[] = 'ok'
  vi.spyOn(api, 'GET').mockImplementation((async (path: string) => {
    if (!told) throw new TypeError('nothing was to be asked for')
    return { data: told(path), response: new Response(null, { status: 200 }) }
  }) as never)
  vi.spyOn(api, 'POST').mockImplementation((async (
    _path: string,
    { body }: { body: { entries: Entry[] } },
  ) => {
    if (how === 'no signal') throw new TypeError('failed to fetch')
    if (how !== 'ok') {
      const findings = how.map((message) => ({ field: '', message }))
      return { error: { detail: how[0], findings }, response: new Response(null, { status: 422 }) }
    }
    sent.push(...body.entries)
    const recorded = body.entries.map((entry) => entry.id)
    return { data: { recorded, known: [] }, response: new Response(null, { status: 200 }) }
  }) as never)
  render(
    <QueryClientProvider client={client}>
      <SessionContext value={{ ...SESSION, ...session }}>
        <KeysProvider>
          <RecordProvider>
            <MemoryRouter>{shown}</MemoryRouter>
          </RecordProvider>
        </KeysProvider>
      </SessionContext>
    </QueryClientProvider>,
  )
  return {
    user: userEvent.setup(),
    sent,
    deeds: () => sent.map((entry) => entry.deed),
    answers: (next) => {
      how = next
    },
    now: (key, data) => client.setQueryData(key.split(' '), data),
  }
}

afterEach(() => {
  cleanup()
  localStorage.clear()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

/** jsdom lays nothing out: without a height no row is in sight. To be called before each test that draws rows. */
export function laidOut() {
  vi.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(600)
  vi.spyOn(Element.prototype, 'clientWidth', 'get').mockReturnValue(900)
  vi.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(600)
  vi.spyOn(HTMLElement.prototype, 'offsetWidth', 'get').mockReturnValue(900)
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  )
}

/** A ripe cell on the bar, unless more is said. */
export const cell = (code: string, more: Partial<Queen> = {}): Queen => ({
  id: code,
  code,
  name: '',
  stage: 'SEALED',
  stageText: 'sealed',
  alive: true,
  bar: 1,
  cup: Number(code.replace(/\D/g, '')) || 1,
  emergenceYear: 0,
  mark: '',
  late: false,
  overdue: false,
  thread: { strands: [], seen: [], handsOff: [] },
  ...more,
})

export const yard = (id: string, name: string) => ({
  id,
  name,
  walkOrder: 1,
  hives: 0,
  held: 0,
  late: 0,
  others: 0,
})
