import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { OrderLine, Standing } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { percent } from '../season/planned'
import { useSession } from '../session/queries'
import { saySpan } from '../time/days'
import { Findings } from '../ui/Page'
import { OrderForm } from './OrderForm'
import { freeQueensQuery } from './queries'

const QUEENS = new Set(['MATED_QUEENS', 'NUCS_WITH_QUEEN', 'JUDGED_QUEENS', 'LAYING_QUEENS'])

type State = OrderLine['state']

const NEXT: Record<State, State[]> = {
  ASKED: ['PROMISED', 'DECLINED'],
  PROMISED: ['DECLINED'],
  DELIVERED: [],
  DECLINED: ['ASKED'],
}

/** One order: what, when, how it stands, and what is done with it next. */
export function OrderRow({ line, standing }: { line: OrderLine; standing: Standing | undefined }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const [opened, setOpened] = useState<'form' | 'queens'>()
  const { order } = line
  const { today } = useSession()
  const due = order.from <= today
  const open = line.state === 'ASKED' || line.state === 'PROMISED'
  const waiting = line.promised.filter((queen) => !queen.delivered)
  const after = { onSuccess: () => client.invalidateQueries() }
  const tell = useTell()
  const move = useMutation({
    mutationFn: (state: State) => tell([{ kind: 'ORDER_MOVED_ON', order: line.id, state }]),
    ...after,
  })
  const hand = useMutation({
    mutationFn: ({ queens, count }: { queens: string[]; count: number }) =>
      tell([{ kind: 'ORDER_DELIVERED', order: line.id, queens, count, complete: false }]),
    ...after,
  })
  return (
    <li className="border-b border-rule py-3" data-testid="order" data-code={line.code}>
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <strong className="w-20 text-lg">{line.code}</strong>
        <span className="min-w-48 flex-1">
          {order.customer}
          {order.ownNeed && <span className="text-ink-2"> · {t('order.ownNeed')}</span>}
        </span>
        <span>
          {order.sharePercent
            ? t('order.share', { percent: order.sharePercent, count: line.asked })
            : t(`order.what.${order.product}`, { count: order.count })}
          {order.line && `, ${order.line}`}
        </span>
        <span className="whitespace-nowrap">
          {saySpan({ earliest: order.from, latest: order.until })}
        </span>
        <strong>{t(`order.state.${line.state}`)}</strong>
      </div>
      <p className="mt-1 text-sm text-ink-2">
        {t('order.sofar', {
          delivered: line.delivered,
          promised: waiting.length,
          left: line.left,
        })}
        {standing && (
          <strong className={standing.state === 'HOLDS' ? '' : 'text-crown'}>
            {' '}
            · {t('order.chance', { chance: percent(standing.chance) })}
          </strong>
        )}
        {order.note && ` · ${order.note}`}
      </p>
      <p className="mt-2 flex flex-wrap gap-3">
        {NEXT[line.state].map((state) => (
          <button
            key={state}
            className="act"
            disabled={move.isPending}
            aria-label={t('order.moveLabel', { act: t(`order.move.${state}`), code: line.code })}
            onClick={() => move.mutate(state)}
          >
            {t(`order.move.${state}`)}
          </button>
        ))}
        {open && QUEENS.has(order.product) && (
          <button
            className="act"
            aria-expanded={opened === 'queens'}
            aria-label={t('order.setAsideLabel', { code: line.code })}
            onClick={() => setOpened(opened === 'queens' ? undefined : 'queens')}
          >
            {t('order.setAside')}
          </button>
        )}
        {open && QUEENS.has(order.product) && waiting.length > 0 && (
          <button
            className={`act ${due ? 'act-main' : ''}`}
            disabled={hand.isPending}
            aria-label={t('order.handOverLabel', { code: line.code })}
            onClick={() =>
              hand.mutate({
                queens: waiting.map((queen) => queen.id),
                count: waiting.length,
              })
            }
          >
            {t('order.handOver')}
          </button>
        )}
        {open && !QUEENS.has(order.product) && (
          <HandCount
            code={line.code}
            due={due}
            most={line.asked - line.delivered}
            onHand={(count) => hand.mutate({ queens: [], count })}
          />
        )}
        {open && (
          <button
            className="act"
            aria-expanded={opened === 'form'}
            aria-label={t('order.changeLabel', { code: line.code })}
            onClick={() => setOpened(opened === 'form' ? undefined : 'form')}
          >
            {t('order.change')}
          </button>
        )}
      </p>
      <Findings error={move.error ?? hand.error} />
      {opened === 'form' && <OrderForm line={line} onDone={() => setOpened(undefined)} />}
      {opened === 'queens' && <SetAside line={line} onDone={() => setOpened(undefined)} />}
    </li>
  )
}

function HandCount({
  code,
  due,
  most,
  onHand,
}: {
  code: string
  due: boolean
  most: number
  onHand: (count: number) => void
}) {
  const { t } = useTranslation()
  const [count, setCount] = useState(most)
  return (
    <form
      className="flex gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        onHand(count)
      }}
    >
      <input
        className="field w-24"
        type="number"
        min={1}
        max={most}
        aria-label={`${code}: ${t('order.handedCount')}`}
        value={count}
        onChange={(event) => setCount(Number(event.target.value))}
      />
      <button
        className={`act ${due ? 'act-main' : ''}`}
        aria-label={t('order.handOverLabel', { code })}
      >
        {t('order.handOver')}
      </button>
    </form>
  )
}

/** Laying queens that are free, and those set aside: a tap promises one, another lets her go. */
function SetAside({ line, onDone }: { line: OrderLine; onDone: () => void }) {
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
