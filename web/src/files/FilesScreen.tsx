import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import { useDraft } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { Findings, Page } from '../ui/Page'

const KINDS = ['queens', 'orders'] as const
type Kind = (typeof KINDS)[number]

const COLUMNS: Record<Kind, string[]> = {
  queens: ['code', 'name', 'yard', 'hive', 'stage', 'year', 'mark'],
  orders: ['customer', 'product', 'count', 'until'],
}

type Row = { line: number; problems: string[] } & Record<string, unknown>
type Counts = Record<string, number | boolean | string>
type Looked = { rows: Row[]; good: number; bad: number }

/** Rows shown before they are imported; the bad ones come first. */
const MOST_SHOWN = 200

const DOORS = {
  queens: {
    preview: (csv: string): Promise<Looked> =>
      answered(api.POST('/api/v1/imports/queens/preview', { body: { csv } })),
    confirm: (id: string, csv: string, skipBadRows: boolean): Promise<Counts> =>
      answered(
        api.PUT('/api/v1/imports/queens/{id}', {
          params: { path: { id } },
          body: { csv, skipBadRows },
        }),
      ),
  },
  orders: {
    preview: (csv: string): Promise<Looked> =>
      answered(api.POST('/api/v1/imports/orders/preview', { body: { csv } })),
    confirm: (id: string, csv: string, skipBadRows: boolean): Promise<Counts> =>
      answered(
        api.PUT('/api/v1/imports/orders/{id}', {
          params: { path: { id } },
          body: { csv, skipBadRows },
        }),
      ),
  },
}

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
          {session.role === 'OWNER' && (
            <a className="act inline-flex items-center" href="/api/v1/exports/orders.csv" download>
              {t('files.orders')}
            </a>
          )}
        </p>
        {session.role === 'OWNER' && <CalendarLink />}
      </section>
      {session.role === 'OWNER' ? (
        KINDS.map((kind) => <Import key={kind} kind={kind} />)
      ) : (
        <p>{t('files.ownerOnly')}</p>
      )}
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

function Import({ kind }: { kind: Kind }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const [csv, setCsv, clear] = useDraft(kind === 'queens' ? 'draft-import' : `draft-${kind}`, '')
  // the same file sent again, after a lost answer or a reload, is the same import; another file is another
  const [begun, setBegun, forget] = useDraft(`import-${kind}`, '')
  const take = (text: string) => {
    setCsv(text)
    forget()
  }
  const preview = useMutation({ mutationFn: DOORS[kind].preview })
  const confirm = useMutation({
    mutationFn: () => {
      const id = begun || uuidv7()
      setBegun(id)
      return DOORS[kind].confirm(id, csv, (preview.data?.bad ?? 0) > 0)
    },
    onSuccess: async () => {
      if (kind === 'orders') forget()
      clear()
      preview.reset()
      await client.invalidateQueries()
    },
  })
  return (
    <section aria-labelledby={`in-${kind}`} className="mb-10 max-w-4xl">
      <h2 id={`in-${kind}`} className="border-b-2 border-ink pb-1 text-xl">
        {t(`files.kind.${kind}.in`)}
      </h2>
      <p className="mt-2 text-ink-2">{t(`files.kind.${kind}.columns`)}</p>
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
      <label className="mt-3 block">
        <span className="mb-1 block font-semibold">{t('files.paste')}</span>
        <textarea
          className="field h-32 font-mono text-sm"
          value={csv}
          onChange={(event) => take(event.target.value)}
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
      {preview.data && <Preview preview={preview.data} columns={COLUMNS[kind]} />}
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
      {kind === 'orders' && confirm.data && !preview.data && (
        <p role="status" className="mt-4 font-read text-lg">
          {t('files.kind.orders.imported', { ...confirm.data })}
        </p>
      )}
      {kind === 'queens' && begun && !confirm.isPending && !csv && (
        <Importing id={begun} onEnd={forget} />
      )}
    </section>
  )
}

/** How far an import is; it goes on whether or not somebody looks. */
function Importing({ id, onEnd }: { id: string; onEnd: () => void }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const { data, error } = useQuery({
    queryKey: ['import', id],
    queryFn: async () => {
      const progress = await answered(
        api.GET('/api/v1/imports/queens/{id}', { params: { path: { id } } }),
      )
      if (progress.ended) void client.invalidateQueries({ queryKey: ['queens'] })
      return progress
    },
    refetchInterval: (query) => (query.state.data?.ended || query.state.error ? false : 500),
    retry: false,
  })
  if (error) return <Findings error={error} />
  if (!data) return null
  if (!data.ended)
    return (
      <p role="status" className="mt-4 flex items-center gap-3">
        <progress value={data.done} max={data.total} aria-label={t('files.importing')} />
        {t('files.importedSoFar', { done: data.done, total: data.total })}
      </p>
    )
  return (
    <p role="status" className="mt-4 font-read text-lg">
      {t('files.kind.queens.imported', { queens: data.queens, hives: data.hives })}
      <button className="act ml-4 text-base" onClick={onEnd}>
        {t('files.another')}
      </button>
    </p>
  )
}

function Preview({ preview, columns }: { preview: Looked; columns: string[] }) {
  const { t } = useTranslation()
  const badFirst = [...preview.rows].sort(
    (one, other) => Number(other.problems.length > 0) - Number(one.problems.length > 0),
  )
  const shown = preview.rows.length > MOST_SHOWN ? badFirst.slice(0, MOST_SHOWN) : preview.rows
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
            {['line', ...columns, 'problem'].map((column) => (
              <th key={column} className="py-1 pr-3 font-normal">
                {t(`files.column.${column}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <tr
              key={row.line}
              className="border-b border-rule align-top"
              data-bad={row.problems.length > 0}
            >
              <td className="py-1 pr-3">{row.line}</td>
              {columns.map((column) => (
                <td key={column} className="pr-3">
                  {String(row[column] ?? '')}
                </td>
              ))}
              <td className="font-semibold text-crown">{row.problems.join(' ') || ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length < preview.rows.length && (
        <p className="mt-2 text-ink-2">
          {t('files.notShown', { count: preview.rows.length - shown.length })}
        </p>
      )}
    </div>
  )
}
