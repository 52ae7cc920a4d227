import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import type { ImportPreview } from '../api/types'
import { useDraft } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { Findings, Page } from '../ui/Page'

export default function FilesScreen() {
  const { t } = useTranslation()
  const session = useSession()
  return (
    <Page title={t('nav.files')} lead={t('files.lead')}>
      <section aria-labelledby="out" className="mb-8 max-w-2xl">
        <h2 id="out" className="border-b-2 border-ink pb-1 text-xl">
          {t('files.out')}
        </h2>
        <p className="mt-3 flex flex-wrap gap-3">
          <a className="act inline-flex items-center" href="/api/v1/exports/tasks.ics" download>
            {t('files.tasks')}
          </a>
          <a className="act inline-flex items-center" href="/api/v1/exports/queens.csv" download>
            {t('files.queens')}
          </a>
        </p>
        {session.role === 'OWNER' && <CalendarLink />}
      </section>
      {session.role === 'OWNER' ? <Import /> : <p>{t('files.ownerOnly')}</p>}
    </Page>
  )
}

function CalendarLink() {
  const { t } = useTranslation()
  const session = useSession()
  const link = useMutation({ mutationFn: () => answered(api.POST('/api/v1/calendar-link')) })
  return (
    <div className="mt-4">
      <button className="act" onClick={() => link.mutate()} disabled={link.isPending}>
        {session.hasCalendarLink ? t('files.newLink') : t('files.link')}
      </button>
      {link.data && (
        <p className="mt-2">
          {t('files.linkIs')}
          <output className="block font-bold break-all">{`${location.origin}${link.data.path}`}</output>
        </p>
      )}
      <Findings error={link.error} />
    </div>
  )
}

function Import() {
  const { t } = useTranslation()
  const client = useQueryClient()
  const [csv, setCsv, clear] = useDraft('draft-import', '')
  const preview = useMutation({
    mutationFn: (text: string) =>
      answered(api.POST('/api/v1/imports/queens/preview', { body: { csv: text } })),
  })
  const confirm = useMutation({
    mutationFn: () =>
      answered(
        api.PUT('/api/v1/imports/queens/{id}', {
          params: { path: { id: uuidv7() } },
          body: { csv, skipBadRows: (preview.data?.bad ?? 0) > 0 },
        }),
      ),
    onSuccess: async () => {
      clear()
      preview.reset()
      await client.invalidateQueries()
    },
  })
  return (
    <section aria-labelledby="in" className="max-w-4xl">
      <h2 id="in" className="border-b-2 border-ink pb-1 text-xl">
        {t('files.in')}
      </h2>
      <p className="mt-2 text-ink-2">{t('files.columns')}</p>
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
            setCsv(text)
            preview.mutate(text)
          }}
        />
      </label>
      <label className="mt-3 block">
        <span className="mb-1 block font-semibold">{t('files.paste')}</span>
        <textarea
          className="field h-32 font-mono text-sm"
          value={csv}
          onChange={(event) => setCsv(event.target.value)}
        />
      </label>
      <button
        className="act mt-3"
        disabled={!csv || preview.isPending}
        onClick={() => preview.mutate(csv)}
      >
        {t('files.look')}
      </button>
      <Findings error={preview.error} />
      {preview.data && <Preview preview={preview.data} />}
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
      {confirm.data && !preview.data && (
        <p role="status" className="mt-4 font-read text-lg">
          {t('files.imported', { queens: confirm.data.queens, nucs: confirm.data.nucs })}
        </p>
      )}
    </section>
  )
}

function Preview({ preview }: { preview: ImportPreview }) {
  const { t } = useTranslation()
  return (
    <div
      className="mt-4 overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label={t('files.preview')}
    >
      <p className="mb-2 font-read text-lg">
        {t('files.counts', { good: preview.good, bad: preview.bad })}
      </p>
      <table className="w-full min-w-[40rem] text-left">
        <thead className="text-sm text-ink-2">
          <tr className="border-b-2 border-ink">
            {['line', 'code', 'name', 'nuc', 'stage', 'year', 'problem'].map((column) => (
              <th key={column} className="py-1 pr-3 font-normal">
                {t(`files.column.${column}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {preview.rows.map((row) => (
            <tr
              key={row.line}
              className="border-b border-rule align-top"
              data-bad={row.problems.length > 0}
            >
              <td className="py-1 pr-3">{row.line}</td>
              <td className="pr-3">{row.code}</td>
              <td className="pr-3">{row.name}</td>
              <td className="pr-3">{row.nuc}</td>
              <td className="pr-3">{row.stage}</td>
              <td className="pr-3">{row.year}</td>
              <td className="font-semibold text-crown">{row.problems.join(' ') || ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
