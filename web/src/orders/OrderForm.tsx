import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import type { OrderLine, OrderTaken } from '../api/types'
import { useDraft } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { addDays } from '../time/days'
import { Findings } from '../ui/Page'

const PRODUCTS: OrderTaken['product'][] = [
  'MATED_QUEENS',
  'RIPE_CELLS',
  'VIRGINS',
  'NUCS_WITH_QUEEN',
  'JUDGED_QUEENS',
  'LAYING_QUEENS',
]

/** Takes an order, or changes one. What is half filled in survives a reload. */
export function OrderForm({ line, onDone }: { line?: OrderLine; onDone: () => void }) {
  const { t } = useTranslation()
  const { today } = useSession()
  const client = useQueryClient()
  const start: OrderTaken = line?.order ?? {
    customer: '',
    ownNeed: false,
    product: 'MATED_QUEENS',
    count: 10,
    from: addDays(today, 38),
    until: addDays(today, 42),
    priority: 2,
  }
  const [id] = useState(() => line?.id ?? uuidv7())
  const [draft, setDraft, clear] = useDraft<OrderTaken>(`draft-order-${line?.id ?? 'new'}`, start)
  const set = (part: Partial<OrderTaken>) => setDraft({ ...draft, ...part })
  const save = useMutation({
    mutationFn: () =>
      answered(api.PUT('/api/v1/orders/{id}', { params: { path: { id } }, body: draft })),
    onSuccess: async () => {
      clear()
      await client.invalidateQueries()
      onDone()
    },
  })
  const number = (text: string) => (text === '' ? undefined : Number(text))
  return (
    <form
      className="mb-4 grid max-w-3xl gap-x-6 gap-y-3 border-y-2 border-ink py-4 sm:grid-cols-3"
      onSubmit={(event) => {
        event.preventDefault()
        save.mutate()
      }}
    >
      <Labelled name={t('order.customer')} wide>
        <input
          className="field"
          required
          value={draft.customer}
          onChange={(event) => set({ customer: event.target.value })}
        />
      </Labelled>
      <label className="flex min-h-11 items-center gap-3 self-end">
        <input
          type="checkbox"
          className="size-5"
          checked={draft.ownNeed}
          onChange={(event) => set({ ownNeed: event.target.checked, sharePercent: undefined })}
        />
        {t('order.ownNeedHow')}
      </label>
      <Labelled name={t('order.count')}>
        <input
          className="field"
          type="number"
          min={1}
          max={300}
          required
          value={draft.count}
          onChange={(event) => set({ count: Number(event.target.value) })}
        />
      </Labelled>
      <Labelled name={t('order.kind')}>
        <select
          className="field"
          value={draft.product}
          onChange={(event) => set({ product: event.target.value as OrderTaken['product'] })}
        >
          {PRODUCTS.map((product) => (
            <option key={product} value={product}>
              {t(`order.product.${product}`)}
            </option>
          ))}
        </select>
      </Labelled>
      <Labelled name={t('order.line')}>
        <input
          className="field"
          value={draft.line ?? ''}
          onChange={(event) => set({ line: event.target.value || undefined })}
        />
      </Labelled>
      <Labelled name={t('order.from')}>
        <input
          className="field"
          type="date"
          required
          value={draft.from}
          onChange={(event) => set({ from: event.target.value })}
        />
      </Labelled>
      <Labelled name={t('order.until')}>
        <input
          className="field"
          type="date"
          required
          value={draft.until}
          onChange={(event) => set({ until: event.target.value })}
        />
      </Labelled>
      <Labelled name={t('order.priority')}>
        <select
          className="field"
          value={draft.priority}
          onChange={(event) => set({ priority: Number(event.target.value) })}
        >
          {[1, 2, 3].map((one) => (
            <option key={one} value={one}>
              {t(`order.priorities.${one}`)}
            </option>
          ))}
        </select>
      </Labelled>
      {draft.ownNeed && (
        <Labelled name={t('order.sharePercent')}>
          <input
            className="field"
            type="number"
            min={1}
            max={100}
            value={draft.sharePercent ?? ''}
            onChange={(event) => set({ sharePercent: number(event.target.value) })}
          />
        </Labelled>
      )}
      <Labelled name={t('order.assurance')}>
        <input
          className="field"
          type="number"
          min={50}
          max={99}
          placeholder={t('order.assuranceUsual')}
          value={draft.assurance === undefined ? '' : Math.round(draft.assurance * 100)}
          onChange={(event) => {
            const percent = number(event.target.value)
            set({ assurance: percent === undefined ? undefined : percent / 100 })
          }}
        />
      </Labelled>
      <Labelled name={t('order.deposit')}>
        <input
          className="field"
          type="number"
          min={0}
          step="0.01"
          value={draft.deposit ?? ''}
          onChange={(event) => set({ deposit: number(event.target.value) })}
        />
      </Labelled>
      <Labelled name={t('order.note')} wide>
        <input
          className="field"
          value={draft.note ?? ''}
          onChange={(event) => set({ note: event.target.value || undefined })}
        />
      </Labelled>
      <p className="flex gap-3 sm:col-span-3">
        <button className="act act-main" disabled={save.isPending}>
          {t('order.save')}
        </button>
        <button
          type="button"
          className="act"
          onClick={() => {
            clear()
            onDone()
          }}
        >
          {t('order.cancel')}
        </button>
      </p>
      <div className="sm:col-span-3">
        <Findings error={save.error} />
      </div>
    </form>
  )
}

function Labelled({ name, wide, children }: { name: string; wide?: boolean; children: ReactNode }) {
  return (
    <label className={wide ? 'sm:col-span-2' : ''}>
      <span className="block text-sm text-ink-2">{name}</span>
      {children}
    </label>
  )
}
