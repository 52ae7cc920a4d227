import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import type { OrderLine, OrderTerms } from '../api/types'
import { useDraft } from '../outbox/useDraft'
import { useTell } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { addDays } from '../time/days'
import { ChoiceField, NumberField, TextField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'

const PRODUCTS: OrderTerms['product'][] = [
  'MATED_QUEENS',
  'RIPE_CELLS',
  'VIRGINS',
  'NUCS_WITH_QUEEN',
  'JUDGED_QUEENS',
  'LAYING_QUEENS',
]

/** Takes an order, or changes one. What is half filled in survives a reload. */
export function OrderForm({
  line,
  need,
  onDone,
}: {
  line?: OrderLine
  /** what is wanted at home, as another screen reckoned it */
  need?: Pick<OrderTerms, 'count' | 'customer'>
  onDone: () => void
}) {
  const { t } = useTranslation()
  const { today } = useSession()
  const start: OrderTerms = line?.order ?? {
    customer: '',
    ownNeed: false,
    product: 'MATED_QUEENS',
    count: 10,
    from: addDays(today, 38),
    until: addDays(today, 42),
    priority: 2,
    ...(need && { ...need, ownNeed: true }),
  }
  const [id] = useState(() => line?.id ?? uuidv7())
  const [draft, setDraft, clear] = useDraft<OrderTerms>(
    `draft-order-${line?.id ?? (need ? 'need' : 'new')}`,
    start,
  )
  const set = (part: Partial<OrderTerms>) => setDraft({ ...draft, ...part })
  const tell = useTell()
  const send = () => tell([{ kind: 'ORDER_TAKEN', order: id, code: '', terms: draft }])
  const close = () => {
    clear()
    onDone()
  }
  return (
    <SavedForm
      send={send}
      onDone={close}
      name={t('order.save')}
      more={
        <button type="button" className="act" onClick={close}>
          {t('order.cancel')}
        </button>
      }
    >
      <TextField
        name={t('order.customer')}
        wide
        required
        value={draft.customer}
        onChange={(customer) => set({ customer })}
      />
      <label className="flex min-h-11 items-center gap-3 self-end">
        <input
          type="checkbox"
          className="size-5"
          checked={draft.ownNeed}
          onChange={(event) => set({ ownNeed: event.target.checked, sharePercent: undefined })}
        />
        {t('order.ownNeedHow')}
      </label>
      <NumberField
        name={t('order.count')}
        required
        min={1}
        max={300}
        value={draft.count}
        onChange={(count) => set({ count: count ?? 0 })}
      />
      <ChoiceField
        name={t('order.kind')}
        value={draft.product}
        choices={PRODUCTS}
        say={(product) => t(`order.product.${product}`)}
        onChange={(product) => set({ product })}
      />
      <TextField
        name={t('order.line')}
        value={draft.line ?? ''}
        onChange={(line) => set({ line: line || undefined })}
      />
      <TextField
        name={t('order.from')}
        type="date"
        required
        value={draft.from}
        onChange={(from) => set({ from })}
      />
      <TextField
        name={t('order.until')}
        type="date"
        required
        value={draft.until}
        onChange={(until) => set({ until })}
      />
      <ChoiceField
        name={t('order.priority')}
        value={draft.priority}
        choices={[1, 2, 3]}
        say={(one) => t(`order.priorities.${one}`)}
        onChange={(priority) => set({ priority })}
      />
      {draft.ownNeed && (
        <NumberField
          name={t('order.sharePercent')}
          min={1}
          max={100}
          value={draft.sharePercent}
          onChange={(sharePercent) => set({ sharePercent })}
        />
      )}
      <NumberField
        name={t('order.assurance')}
        min={50}
        max={99}
        placeholder={t('order.assuranceUsual')}
        value={draft.assurance === undefined ? undefined : Math.round(draft.assurance * 100)}
        onChange={(percent) =>
          set({ assurance: percent === undefined ? undefined : percent / 100 })
        }
      />
      <NumberField
        name={t('order.deposit')}
        min={0}
        step={0.01}
        value={draft.deposit}
        onChange={(deposit) => set({ deposit })}
      />
      <TextField
        name={t('order.note')}
        wide
        value={draft.note ?? ''}
        onChange={(note) => set({ note: note || undefined })}
      />
    </SavedForm>
  )
}
