import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Collapsible } from 'radix-ui'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { OrderLine, Standing } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { percent } from '../season/planned'
import { useSession } from '../session/queries'
import { saySpan } from '../time/days'
import { Findings } from '../ui/Page'
import { OrderForm } from './OrderForm'
import { HandCount } from './HandCount'
import { SetAside } from './SetAside'

const QUEENS = new Set(['MATED_QUEENS', 'NUCS_WITH_QUEEN', 'JUDGED_QUEENS', 'LAYING_QUEENS'])

type State = OrderLine['state']

const NEXT: Record<State, State[]> = {
  ASKED: ['PROMISED', 'DECLINED'],
  PROMISED: ['DECLINED'],
  DELIVERED: [],
  DECLINED: ['ASKED'],
}

/** One order on one line: for whom, what, when, how it stands. What is done with it next folds out. */
export function OrderRow({ line, standing }: { line: OrderLine; standing: Standing | undefined }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const [unfolded, setUnfolded] = useState(false)
  const [opened, setOpened] = useState<'form' | 'queens'>()
  const { order } = line
  const { today, role } = useSession()
  const owner = role === 'OWNER'
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
  const handOver = (
    <button
      className={`act ${due ? 'act-main' : ''}`}
      disabled={hand.isPending}
      aria-label={t('order.handOverLabel', { code: line.code })}
      onClick={() =>
        hand.mutate({ queens: waiting.map((queen) => queen.id), count: waiting.length })
      }
    >
      {t('order.handOver')}
    </button>
  )
  return (
    <Collapsible.Root asChild open={unfolded} onOpenChange={setUnfolded}>
      <li className="border-b border-rule py-2" data-testid="order" data-code={line.code}>
        <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
          <Collapsible.Trigger className="flex min-h-11 min-w-0 flex-1 flex-wrap items-baseline gap-x-5 text-left">
            <strong className="w-24 text-lg whitespace-nowrap">
              <span aria-hidden>{unfolded ? '▾' : '▸'} </span>
              {line.code}
            </strong>
            <span className="min-w-40 flex-1">
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
            <strong className={standing && standing.state !== 'HOLDS' ? 'text-crown' : ''}>
              {t(`order.state.${line.state}`)}
              {standing && ` · ${percent(standing.chance)}`}
            </strong>
          </Collapsible.Trigger>
          {open && QUEENS.has(order.product) && waiting.length > 0 && due && handOver}
        </div>
        <Collapsible.Content>
          <p className="mt-1 text-sm text-ink-2">
            {t('order.sofar', {
              delivered: line.delivered,
              promised: waiting.length,
              left: line.left,
            })}
            {standing && ` · ${t('order.chance', { chance: percent(standing.chance) })}`}
            {order.note && ` · ${order.note}`}
          </p>
          <p className="mt-2 flex flex-wrap gap-3">
            {(owner ? NEXT[line.state] : []).map((state) => (
              <button
                key={state}
                className="act"
                disabled={move.isPending}
                aria-label={t('order.moveLabel', {
                  act: t(`order.move.${state}`),
                  code: line.code,
                })}
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
            {open && QUEENS.has(order.product) && waiting.length > 0 && !due && handOver}
            {open && !QUEENS.has(order.product) && (
              <HandCount
                code={line.code}
                due={due}
                most={line.asked - line.delivered}
                onHand={(count) => hand.mutate({ queens: [], count })}
              />
            )}
            {owner && open && (
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
          {opened === 'form' && <OrderForm line={line} onDone={() => setOpened(undefined)} />}
          {opened === 'queens' && <SetAside line={line} onDone={() => setOpened(undefined)} />}
        </Collapsible.Content>
        <Findings error={move.error ?? hand.error} />
      </li>
    </Collapsible.Root>
  )
}
