import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { OrderLine } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { Findings } from '../ui/Page'
import { freeQueensQuery } from './queries'

/** Laying queens that are free, and those set aside: a tap promises one, another lets her go. */
export function SetAside({ line, onDone }: { line: OrderLine; onDone: () => void }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const free = useQuery(freeQueensQuery)
  const set = line.promised.filter((queen) => !queen.delivered)
  const [chosen, setChosen] = useState<string[]>(set.map((queen) => queen.id))
  const tell = useTell()
  const promise = useMutation({
    mutationFn: async () => {
      const promised = chosen.filter((id) => !set.some((queen) => queen.id === id))
      const letGo = set.map((queen) => queen.id).filter((id) => !chosen.includes(id))
      if (promised.length + letGo.length === 0) return
      await tell([{ kind: 'QUEENS_PROMISED', order: line.id, promised, letGo }])
    },
    onSuccess: async () => {
      await client.invalidateQueries()
      onDone()
    },
  })
  const fits = (free.data ?? []).filter(
    (queen) => !line.order.line || queen.line === line.order.line,
  )
  const all = [...set.map(({ id, code }) => ({ id, code, line: undefined })), ...fits]
  return (
    <div className="mt-3">
      {free.data && all.length === 0 && <p>{t('order.freeNone')}</p>}
      <div className="flex flex-wrap gap-2">
        {all.map((queen) => (
          <button
            key={queen.id}
            className={`act ${chosen.includes(queen.id) ? 'act-main' : ''}`}
            aria-pressed={chosen.includes(queen.id)}
            onClick={() =>
              setChosen(
                chosen.includes(queen.id)
                  ? chosen.filter((id) => id !== queen.id)
                  : [...chosen, queen.id],
              )
            }
          >
            {queen.code}
            {queen.line && <span className="text-sm"> {queen.line}</span>}
          </button>
        ))}
      </div>
      <Findings error={promise.error} />
      <button
        className="act act-main mt-3"
        disabled={promise.isPending}
        onClick={() => promise.mutate()}
      >
        {t('order.setAsideDone')} ({chosen.length} / {line.asked - line.delivered})
      </button>
    </div>
  )
}
