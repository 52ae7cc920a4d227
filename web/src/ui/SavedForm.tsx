import { useMutation, useQueryClient } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { KEPT } from '../outbox/useRecord'
import { Findings } from './Page'

/** Fields that are sent by one button; what is wrong with them is said below, and nothing is lost. */
export function SavedForm({
  send,
  onDone,
  name,
  more,
  children,
}: {
  send: () => Promise<unknown>
  onDone: () => void
  name: string
  more?: ReactNode
  children: ReactNode
}) {
  const client = useQueryClient()
  const save = useMutation({
    mutationFn: send,
    onSuccess: async (outcome) => {
      // without a signal nothing can be asked for anew, and to wait for it would be to wait for ever
      if (outcome !== KEPT) await client.invalidateQueries()
      onDone()
    },
  })
  return (
    <form
      className="my-3 grid max-w-3xl gap-x-6 gap-y-3 border-y-2 border-ink py-4 sm:grid-cols-3"
      onSubmit={(event) => {
        event.preventDefault()
        save.mutate()
      }}
    >
      {children}
      <p className="flex gap-3 sm:col-span-3">
        <button className="act act-main" disabled={save.isPending}>
          {name}
        </button>
        {more}
      </p>
      <div className="sm:col-span-3">
        <Findings error={save.error} />
      </div>
    </form>
  )
}
