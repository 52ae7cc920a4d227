import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../api/client'
import { drop, enqueue, flush, keepAnyway, takeBack, type Parcel } from './outbox'

type Sent = { body: Pick<Parcel, 'entries' | 'keepContradictions'> }

const ilva = 'ilva'

const parcel = (id: string, personId = ilva): Parcel => ({
  id,
  personId,
  label: id,
  keepContradictions: false,
  entries: [
    {
      id,
      happenedAt: '2026-06-09T10:00:00+02:00',
      deed: { kind: 'QUEEN_SEEN', queen: '00000000-0000-7000-8000-000000000001', sight: 'EGGS' },
    },
  ],
})

/** A server that answers in turn; what it was sent is kept. */
function server(...answers: (number | 'no signal' | 'empty' | 'another' | 'forbidden')[]): {
  sent: string[]
  kept: boolean[]
} {
  const seen = { sent: [] as string[], kept: [] as boolean[] }
  vi.spyOn(api, 'POST').mockImplementation((async (_path: string, { body }: Sent) => {
    const answer = answers.shift() ?? 200
    if (answer === 'no signal') throw new TypeError('failed to fetch')
    seen.sent.push(body.entries[0]?.id ?? '')
    seen.kept.push(body.keepContradictions)
    if (answer === 'forbidden') {
      const findings = [{ field: '', message: 'An owner recorded this.' }]
      return { error: { findings }, response: new Response(null, { status: 403 }) }
    }
    const status = typeof answer === 'number' ? answer : 200
    const response = new Response(null, { status })
    if (answer === 'empty') return { data: undefined, response }
    if (answer === 'another') return { data: { recorded: ['z'], known: [] }, response }
    const recorded = body.entries.map((entry) => entry.id)
    return answer === 200 ? { data: { recorded, known: [] }, response } : { error: {}, response }
  }) as never)
  return seen
}

beforeEach(async () => {
  for (const id of ['a', 'b', 'c', 'theirs']) await drop(id)
})

describe('the outbox', () => {
  it('sends what waits in the order of entry', async () => {
    const { sent } = server()
    await enqueue(parcel('a'))
    await enqueue(parcel('b'))
    expect(await flush(ilva)).toBe('all-sent')
    expect(sent).toEqual(['a', 'b'])
    expect(await flush(ilva)).toBe('nothing-to-send')
  })

  it('keeps everything while there is no signal, and loses nothing', async () => {
    server('no signal')
    await enqueue(parcel('a'))
    await enqueue(parcel('b'))
    expect(await flush(ilva)).toBe('unreachable')
    const { sent } = server()
    expect(await flush(ilva)).toBe('all-sent')
    expect(sent).toEqual(['a', 'b'])
  })

  it('treats a gateway that is down as a lost signal, not as a refusal', async () => {
    server(503)
    await enqueue(parcel('a'))
    expect(await flush(ilva)).toBe('unreachable')
    const { sent } = server()
    await flush(ilva)
    expect(sent).toEqual(['a'])
  })

  it.each(['empty', 'another'] as const)(
    'keeps an entry whose id the answer does not name (%s)',
    async (answer) => {
      server(answer)
      await enqueue(parcel('a'))
      expect(await flush(ilva)).toBe('unreachable')
      const { sent } = server()
      expect(await flush(ilva)).toBe('all-sent')
      expect(sent).toEqual(['a'])
    },
  )

  it('takes a failing server for a lost signal, not for a refusal', async () => {
    server(500)
    await enqueue(parcel('a'))
    expect(await flush(ilva)).toBe('unreachable')
    server()
    expect(await flush(ilva)).toBe('all-sent')
  })

  it('waits for a new sign-in where the session has ended', async () => {
    server(401)
    await enqueue(parcel('a'))
    expect(await flush(ilva)).toBe('signed-out')
    const { sent } = server()
    expect(await flush(ilva)).toBe('all-sent')
    expect(sent).toEqual(['a'])
  })

  it('shows what somebody may not do, and sends the rest', async () => {
    const { sent } = server('forbidden')
    await enqueue(parcel('a'))
    await enqueue(parcel('b'))
    expect(await flush(ilva)).toBe('all-sent')
    expect(sent).toEqual(['a', 'b'])
  })

  it('sends the rest although one was refused, and the refused one only once somebody decides', async () => {
    const first = server(409)
    await enqueue(parcel('a'))
    await enqueue(parcel('b'))
    expect(await flush(ilva)).toBe('all-sent')
    expect(first.sent).toEqual(['a', 'b'])
    const again = server()
    expect(await flush(ilva)).toBe('nothing-to-send')
    await keepAnyway('a')
    expect(await flush(ilva)).toBe('all-sent')
    expect(again).toEqual({ sent: ['a'], kept: [true] })
  })

  it("never sends one person's entries in another's name", async () => {
    const { sent } = server()
    await enqueue(parcel('theirs', 'jory'))
    expect(await flush(ilva)).toBe('nothing-to-send')
    expect(sent).toEqual([])
  })

  it('what was on its way once is not taken back: the server may have it, though no answer came', async () => {
    server('no signal')
    await enqueue(parcel('a'))
    expect(await flush(ilva)).toBe('unreachable')
    expect(await takeBack('a')).toBe(false)
    const { sent } = server()
    await flush(ilva)
    expect(sent).toEqual(['a'])
  })

  it('can be taken back before it was sent, and not after', async () => {
    server()
    await enqueue(parcel('a'))
    expect(await takeBack('a')).toBe(true)
    await enqueue(parcel('b'))
    await flush(ilva)
    expect(await takeBack('b')).toBe(false)
  })

  it('either takes an entry back or sends it, at whatever moment both are asked for', async () => {
    for (let wait = 0; wait < 40; wait++) {
      const { sent } = server()
      await enqueue(parcel('a'))
      const sending = flush(ilva)
      for (let turn = 0; turn < wait; turn++) await new Promise((done) => setImmediate(done))
      const tookBack = await takeBack('a')
      await sending
      expect([tookBack, sent], `after ${wait} turns`).toEqual(
        tookBack ? [true, []] : [false, ['a']],
      )
    }
  })
})
