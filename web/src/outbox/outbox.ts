import Dexie, { liveQuery, type EntityTable } from 'dexie'
import { answered, api, Refused, Unreachable, type Finding } from '../api/client'
import type { Entry } from '../api/types'

/**
 * Entries on their way to the journal. They are written here first and leave only when the server has them, so neither
 * a reload, nor a lost signal, nor an expired session loses one. Sending twice is harmless: ids are made here.
 */
export type Parcel = {
  /** order of sending */
  order?: number
  id: string
  personId: string
  label: string
  entries: Entry[]
  keepContradictions: boolean
  /** it was on its way once: whether the server has it nobody knows until an answer names it */
  tried?: boolean
  refusal?: { status: number; message: string; findings: Finding[] }
}

const database = new Dexie('vivid-crown') as Dexie & { parcels: EntityTable<Parcel, 'order'> }
database.version(1).stores({ parcels: '++order, id, personId' })

export const parcels = liveQuery(() => database.parcels.orderBy('order').toArray())

export async function enqueue(parcel: Parcel): Promise<void> {
  await database.parcels.add(parcel)
}

/** True if it was here and never on its way: then the server never saw it. */
export async function takeBack(id: string): Promise<boolean> {
  const untried = database.parcels
    .where('id')
    .equals(id)
    .and((parcel) => !parcel.tried)
  return (await untried.delete()) > 0
}

/** It is safe, or nobody wants it any more. */
export async function drop(id: string): Promise<void> {
  await database.parcels.where('id').equals(id).delete()
}

export async function keepAnyway(id: string): Promise<void> {
  await database.parcels
    .where('id')
    .equals(id)
    .modify((parcel) => {
      parcel.keepContradictions = true
      delete parcel.refusal
    })
}

/** Only an answer that names every entry is an answer: anything else may have come from a server that failed half-way. */
function isSafe(
  parcel: Parcel,
  answer: { recorded?: string[]; known?: string[] } | undefined,
): boolean {
  const named = new Set([...(answer?.recorded ?? []), ...(answer?.known ?? [])])
  return parcel.entries.every((entry) => named.has(entry.id))
}

/** Everything that a deed names: its things among them. */
export const thingsIn = (deed: object): unknown[] => Object.values(deed)

const safeSince = new Map<unknown, number>()

/** What a deed named has reached the server after this moment: an answer from before it knows nothing of the deed yet. */
export const isNewerThan = (thing: unknown, moment: number): boolean =>
  (safeSince.get(thing) ?? -Infinity) >= moment

export type Flushed = 'all-sent' | 'nothing-to-send' | 'signed-out' | 'unreachable'

let running: Promise<Flushed> | undefined

/** Sends what waits, in order; stops where the server cannot be reached or nobody is signed in. */
export function flush(personId: string): Promise<Flushed> {
  running ??= send(personId).finally(() => (running = undefined))
  return running
}

async function send(personId: string): Promise<Flushed> {
  let sent = false
  for (;;) {
    const waiting = await database.parcels.where('personId').equals(personId).sortBy('order')
    const next = waiting.find((parcel) => !parcel.refusal)
    if (!next) return sent ? 'all-sent' : 'nothing-to-send'
    const setOut = await database.parcels.where('id').equals(next.id).modify({ tried: true })
    // taken back since it was looked up: whoever did so was told that it never left
    if (setOut === 0) continue
    try {
      const answer = await answered(
        api.POST('/api/v1/journal', {
          body: { entries: next.entries, keepContradictions: next.keepContradictions },
        }),
      )
      if (!isSafe(next, answer)) return 'unreachable'
      next.entries
        .flatMap((entry) => thingsIn(entry.deed))
        .forEach((one) => safeSince.set(one, Date.now()))
      await drop(next.id)
      sent = true
    } catch (thrown) {
      if (thrown instanceof Unreachable) return 'unreachable'
      if (!(thrown instanceof Refused)) throw thrown
      // a token that is too old says no more than 403; what somebody may not do is told, and waits with the reason
      if (thrown.status === 401 || (thrown.status === 403 && thrown.findings.length === 0))
        return 'signed-out'
      await database.parcels
        .where('id')
        .equals(next.id)
        .modify((parcel) => {
          parcel.refusal = {
            status: thrown.status,
            message: thrown.message,
            findings: thrown.findings,
          }
        })
    }
  }
}
