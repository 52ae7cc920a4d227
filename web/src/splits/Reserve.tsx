import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { useRecord } from '../outbox/useRecord'
import { TextField } from '../ui/Fields'
import { reserveQuery } from './queries'

/** Units that stand by, with what for. */
export function Reserve() {
  const { t } = useTranslation()
  const all = useQuery(reserveQuery).data ?? []
  return (
    <section aria-labelledby="reserve" className="mt-6">
      <h2 id="reserve" className="text-xl">
        {t('reserve.title')}
      </h2>
      {all.length === 0 && <p className="text-ink-2">{t('reserve.none')}</p>}
      <ul>
        {all.map((one) => (
          <li key={one.id} className="flex min-h-9 gap-x-4 border-b border-rule py-1">
            <Link className="w-20 font-bold underline" to={`/colonies/${one.id}`}>
              {one.code}
            </Link>
            <span className="w-40 text-ink-2">{one.yard}</span>
            <span>{one.forWhat}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What one hive stands by for; left blank for nothing. */
export function ReserveField({ hive, code }: { hive: string; code: string }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const all = useQuery(reserveQuery).data ?? []
  const known = all.find((one) => one.id === hive)?.forWhat ?? ''
  const [typed, setTyped] = useState<string>()
  const forWhat = typed ?? known
  return (
    <form
      className="mt-4 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void record(`${code}: ${t('deed.HIVE_RESERVED')}`, [
          { deed: { kind: 'HIVE_RESERVED', hive, forWhat } },
        ])
        setTyped(undefined)
      }}
    >
      <TextField name={t('reserve.forWhat')} maxLength={80} value={forWhat} onChange={setTyped} />
      <button className="act" disabled={forWhat === known}>
        {t('reserve.keep')}
      </button>
    </form>
  )
}
