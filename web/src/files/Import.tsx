import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { useDraft } from '../outbox/useDraft'
import { ChoiceField } from '../ui/Fields'
import { Findings } from '../ui/Page'
import { yardsQuery } from '../yards/queries'
import { DOORS, type Kind } from './doors'
import { Importing } from './Importing'
import { Preview } from './Preview'

/** A file is looked at first, every bad row with its cure; only then it is imported. */
export function Import({ kind }: { kind: Kind }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const door = DOORS[kind]
  const [csv, setCsv, clear] = useDraft(`draft-${kind}`, '')
  const [yard, setYard] = useState('')
  const yards = useQuery(yardsQuery).data?.filter((one) => !one.closedOn) ?? []
  // the same file sent again, after a lost answer or a reload, is the same import; another file is another
  const [begun, setBegun, forget] = useDraft(`import-${kind}`, '')
  const take = (text: string) => {
    setCsv(text)
    forget()
  }
  const preview = useMutation({ mutationFn: (text: string) => door.preview(text, yard) })
  const confirm = useMutation({
    mutationFn: () => {
      const id = begun || uuidv7()
      setBegun(id)
      return door.confirm(id, csv, yard, (preview.data?.bad ?? 0) > 0)
    },
    onSuccess: async () => {
      if (!door.isLong) forget()
      clear()
      preview.reset()
      await client.invalidateQueries()
    },
  })
  return (
    <>
      <p className="mt-3 text-ink-2">{t(`files.kind.${kind}.columns`)}</p>
      {kind === 'weather' && (
        <div className="mt-3 max-w-sm">
          <ChoiceField
            name={t('files.ofYard')}
            value={yard}
            choices={['', ...yards.map((one) => one.id)]}
            say={(id) => yards.find((one) => one.id === id)?.name ?? t('files.yardInFile')}
            onChange={(next) => {
              setYard(next)
              preview.reset()
            }}
          />
        </div>
      )}
      <label className="mt-3 block">
        <span className="mb-1 block font-semibold">{t('files.choose')}</span>
        <input
          className="field"
          type="file"
          accept=".csv,text/csv"
          onChange={async (event) => {
            const file = event.target.files?.[0]
            if (!file) return
            const text = await file.text()
            take(text)
            preview.mutate(text)
          }}
        />
      </label>
      <details className="mt-3" open={csv !== ''}>
        <summary className="min-h-8 font-semibold">{t('files.paste')}</summary>
        <textarea
          className="field h-32 font-mono text-sm"
          aria-label={t('files.paste')}
          value={csv}
          onChange={(event) => take(event.target.value)}
        />
      </details>
      <button
        className="act mt-3"
        disabled={!csv || preview.isPending}
        onClick={() => preview.mutate(csv)}
      >
        {t('files.look')}
      </button>
      <Findings error={preview.error} />
      {preview.data && <Preview preview={preview.data} columns={door.columns} />}
      {preview.data && preview.data.good > 0 && (
        <button
          className="act act-main mt-4"
          disabled={confirm.isPending}
          onClick={() => confirm.mutate()}
        >
          {preview.data.bad > 0
            ? t('files.importGood', { count: preview.data.good, bad: preview.data.bad })
            : t('files.importAll', { count: preview.data.good })}
        </button>
      )}
      <Findings error={confirm.error} />
      {!door.isLong && confirm.data && !preview.data && (
        <p role="status" className="mt-4 font-read text-lg">
          {t(`files.kind.${kind}.imported`, { ...confirm.data })}
        </p>
      )}
      {door.isLong && begun && !confirm.isPending && !csv && (
        <Importing id={begun} onEnd={forget} />
      )}
    </>
  )
}
