import { useState } from 'react'
import { useTranslation } from 'react-i18next'

/** What is handed over by the number: cells, virgins. */
export function HandCount({
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
