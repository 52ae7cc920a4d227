import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useSyncExternalStore } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import type { Deed, Entry } from '../api/types'
import { answered, api, Unreachable } from '../api/client'
import { useSession } from '../session/queries'
import { clockIn, zoned } from '../time/days'
import { drop, enqueue, flush, keepAnyway, parcels, takeBack, type Parcel } from './outbox'
import { useRecording, type Done } from './RecordContext'

export type Tap = {
  deed: Deed
  corrects?: string
  /** day it happened; the day that is being written up if left out */
  day?: string
}

const NONE: Parcel[] = []
let known: Parcel[] = NONE
const subscribe = (changed: () => void) => {
  const subscription = parcels.subscribe((next) => {
    known = next
    changed()
  })
  return () => subscription.unsubscribe()
}

/** What waits to be sent, and what the server refused. */
export const useParcels = (): Parcel[] => useSyncExternalStore(subscribe, () => known)

/** Makes entries of deeds, dated to the day that is being written up. */
function useEntry() {
  const session = useSession()
  const { day } = useRecording()
  return useCallback(
    (tap: Tap): Entry => ({
      id: uuidv7(),
      happenedAt: zoned(tap.day ?? day, clockIn(session.zone), session.zone),
      deed: tap.deed,
      ...(tap.corrects ? { corrects: tap.corrects } : {}),
    }),
    [session.zone, day],
  )
}

export function useRecord() {
  const session = useSession()
  const client = useQueryClient()
  const { setLast } = useRecording()
  const entryOf = useEntry()

  const sendAll = useCallback(async () => {
    const outcome = await flush(session.personId)
    if (outcome === 'signed-out') await client.invalidateQueries({ queryKey: ['session'] })
    if (outcome === 'all-sent') {
      // A first answer still on its way was asked for before the entries were in: it must not be waited for.
      await client.cancelQueries()
      await client.invalidateQueries()
    }
    return outcome
  }, [client, session.personId])

  const put = useCallback(
    async (label: string, taps: Tap[]) => {
      const entries = taps.map(entryOf)
      const id = uuidv7()
      await enqueue({ id, personId: session.personId, label, entries, keepContradictions: false })
      void sendAll()
      return { id, label, entries }
    },
    [sendAll, session, entryOf],
  )

  const record = useCallback(
    async (label: string, taps: Tap[]) => setLast(await put(label, taps)),
    [put, setLast],
  )

  const undo = useCallback(
    async (done: Done) => {
      setLast(undefined)
      if (await takeBack(done.id)) return
      await put(
        done.label,
        done.entries.map((entry) => ({ deed: { kind: 'WITHDRAWN' }, corrects: entry.id })),
      )
    },
    [put, setLast],
  )

  const keep = useCallback(
    async (id: string) => {
      await keepAnyway(id)
      await sendAll()
    },
    [sendAll],
  )

  return { record, undo, keep, sendAll, drop }
}

/** Nobody could be reached: it waits on this device. */
export const KEPT = 'kept'

/** A deed of another moment than now, or in another entry's place. */
export type Dated = { deed: Deed; at?: string; corrects?: string }

/**
 * Records deeds at once and waits for the answer: for forms, which say what is wrong beside the fields. Sent again unchanged
 * they keep their ids, so a lost answer makes nothing count twice. Without a signal they wait in the outbox like every tap.
 */
export function useTell() {
  const session = useSession()
  const { t } = useTranslation()
  const entryOf = useEntry()
  const told = useRef(new Map<string, Entry>())
  return useCallback(
    async (deeds: (Deed | Dated)[]) => {
      const entries = deeds.map((one): Entry => {
        const dated: Dated = 'deed' in one ? one : { deed: one }
        const key = JSON.stringify(dated)
        const known = told.current.get(key)
        if (known) return known
        const entry = entryOf(dated)
        const kept = dated.at ? { ...entry, happenedAt: dated.at } : entry
        told.current.set(key, kept)
        return kept
      })
      try {
        await answered(api.POST('/api/v1/journal', { body: { entries } }))
      } catch (thrown) {
        if (!(thrown instanceof Unreachable)) throw thrown
        await enqueue({
          id: uuidv7(),
          personId: session.personId,
          label: t(`deed.${entries[0]?.deed.kind}`),
          entries,
          keepContradictions: false,
        })
        told.current.clear()
        return KEPT
      }
      told.current.clear()
      return undefined
    },
    [session, entryOf, t],
  )
}

/** Sends what waits on opening, when the signal returns, and every few seconds while something waits. */
export function useSending(): void {
  const { sendAll } = useRecord()
  const waiting = useParcels().some((parcel) => !parcel.refusal)
  useEffect(() => {
    void sendAll()
    window.addEventListener('online', sendAll)
    return () => window.removeEventListener('online', sendAll)
  }, [sendAll])
  useEffect(() => {
    if (!waiting) return
    const timer = setInterval(() => void sendAll(), 5000)
    return () => clearInterval(timer)
  }, [waiting, sendAll])
}
