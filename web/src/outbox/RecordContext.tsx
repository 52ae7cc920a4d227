import { createContext, useContext, useMemo, useState, type ReactNode } from 'react'
import type { Entry } from '../api/types'
import { useSession } from '../session/queries'

/** What was recorded by one tap, so that it can be undone. */
export type Done = { id: string; label: string; entries: Entry[] }

type Recording = {
  /** The last act, unless it was undone. */
  last: Done | undefined
  setLast: (done: Done | undefined) => void
  /** The day that entries are dated to; today unless somebody writes up an earlier day. */
  day: string
  isToday: boolean
  setDay: (day: string) => void
}

const Context = createContext<Recording | undefined>(undefined)

/** Holds what recording needs to know between screens; a reload begins anew, with today. */
export function RecordProvider({ children }: { children: ReactNode }) {
  const { today } = useSession()
  const [last, setLast] = useState<Done>()
  const [chosen, setDay] = useState<string>()
  const value = useMemo(() => {
    const day = chosen && chosen < today ? chosen : today
    return { last, setLast, day, isToday: day === today, setDay }
  }, [last, chosen, today])
  return <Context value={value}>{children}</Context>
}

export function useRecording(): Recording {
  const recording = useContext(Context)
  if (!recording) throw new Error('useRecording outside of a signed-in screen')
  return recording
}
