import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Deed, Entry } from '../api/types'
import { answered, api } from '../api/client'
import { useSession } from '../session/queries'
import { clockIn, zoned } from '../time/days'
import { enqueue, flush, keepAnyway, parcels, takeBack, type Parcel } from './outbox'

export type Tap = {
  deed: Deed
  corrects?: string
  /** day it happened, today if left out */
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

type Done = { id: string; label: string; entries: Entry[] }
let last: Done | undefined
const listeners = new Set<() => void>()
const tell = (done: Done | undefined) => {
  last = done
  listeners.forEach((listener) => listener())
}

/** The last act, so that it can be undone. */
export const useLastAct = (): Done | undefined =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => last,
  )

export function useRecord() {
  const session = useSession()
  const client = useQueryClient()

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
      const entries = taps.map((tap): Entry => ({
        id: uuidv7(),
        happenedAt: zoned(tap.day ?? session.today, clockIn(session.zone), session.zone),
        deed: tap.deed,
        ...(tap.corrects ? { corrects: tap.corrects } : {}),
      }))
      const id = uuidv7()
      await enqueue({ id, personId: session.personId, label, entries, keepContradictions: false })
      void sendAll()
      return { id, label, entries }
    },
    [sendAll, session],
  )

  const record = useCallback(
    async (label: string, taps: Tap[]) => tell(await put(label, taps)),
    [put],
  )

  const undo = useCallback(
    async (done: Done) => {
      tell(undefined)
      if (await takeBack(done.id)) return
      await put(
        done.label,
        done.entries.map((entry) => ({ deed: { kind: 'WITHDRAWN' }, corrects: entry.id })),
      )
    },
    [put],
  )

  const keep = useCallback(
    async (id: string) => {
      await keepAnyway(id)
      await sendAll()
    },
    [sendAll],
  )

  return { record, undo, keep, sendAll, takeBack }
}

/** A deed of another moment than now. */
export type Dated = { deed: Deed; at: string }

/**
 * Records deeds at once and waits for the answer: for forms at the desk, which say what is wrong beside the fields. Sent
 * again unchanged they keep their ids, so a lost answer makes nothing count twice.
 */
export function useTell() {
  const session = useSession()
  const told = useRef(new Map<string, Entry>())
  return useCallback(
    async (deeds: (Deed | Dated)[]) => {
      const entries = deeds.map((one): Entry => {
        const { deed, at } = 'deed' in one ? one : { deed: one, at: undefined }
        const key = JSON.stringify([deed, at])
        const known = told.current.get(key)
        if (known) return known
        const entry = {
          id: uuidv7(),
          happenedAt: at ?? zoned(session.today, clockIn(session.zone), session.zone),
          deed,
        }
        told.current.set(key, entry)
        return entry
      })
      await answered(api.POST('/api/v1/journal', { body: { entries } }))
      told.current.clear()
    },
    [session],
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

/** State that survives a reload: what is half filled in stays until it is sent or cleared. */
export function useDraft<T>(key: string, start: T): [T, (next: T) => void, () => void] {
  const [value, setValue] = useState<T>(() => {
    const kept = localStorage.getItem(key)
    return kept === null ? start : (JSON.parse(kept) as T)
  })
  const set = useCallback(
    (next: T) => {
      try {
        localStorage.setItem(key, JSON.stringify(next))
      } catch {
        // a file too large for the device's store stays in this page
      }
      setValue(next)
    },
    [key],
  )
  const clear = useCallback(() => {
    localStorage.removeItem(key)
    setValue(start)
  }, [key, start])
  return [value, set, clear]
}
