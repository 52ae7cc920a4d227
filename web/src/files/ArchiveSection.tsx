import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import type { components } from '../api/schema'
import { Findings } from '../ui/Page'

type State = components['schemas']['ArchiveState']

function isAtWork(state: State | undefined) {
  return state?.made !== undefined || state?.readPercent !== undefined
}

/** The whole operation as one file; into an operation in which nothing is recorded yet one can be read back. */
export function ArchiveSection() {
  const { t } = useTranslation()
  const client = useQueryClient()
  const { data } = useQuery({
    queryKey: ['archive'],
    queryFn: () => answered(api.GET('/api/v1/imports/archive')),
    refetchInterval: (query) => (isAtWork(query.state.data) ? 1000 : false),
  })
  const atWork = isAtWork(data)
  const wasAtWork = useRef(false)
  useEffect(() => {
    if (atWork) wasAtWork.current = true
    else if (wasAtWork.current)
      void client.invalidateQueries({ predicate: (one) => one.queryKey[0] !== 'archive' })
  }, [client, atWork])
  const bringBack = useMutation({
    mutationFn: (archive: File) =>
      answered(
        // as it is: the file is the body, however large
        api.PUT('/api/v1/imports/archive', {
          body: archive as never,
          bodySerializer: () => archive,
          headers: { 'Content-Type': 'application/json' },
        }),
      ),
    onSuccess: (state) => client.setQueryData(['archive'], state),
  })
  return (
    <section aria-labelledby="archive" className="mb-10 max-w-4xl">
      <h2 id="archive" className="border-b-2 border-ink pb-1 text-xl">
        {t('files.archive')}
      </h2>
      <p className="mt-2 text-ink-2">{t('files.archiveHow')}</p>
      <p className="mt-3 flex flex-wrap gap-3">
        <a
          className="act inline-flex items-center"
          href="/api/v1/exports/archive.json"
          download="vivid-crown-archive.json"
        >
          {t('files.archiveOut')}
        </a>
        <a
          className="act inline-flex items-center"
          href="/api/v1/exports/archive.schema.json"
          download="vivid-crown-archive.schema.json"
        >
          {t('files.archiveSchema')}
        </a>
      </p>
      {data?.empty && (
        <label className="mt-3 block max-w-xl">
          <span className="mb-1 block font-semibold">{t('files.archiveIn')}</span>
          <input
            className="field"
            type="file"
            accept=".json,application/json"
            disabled={bringBack.isPending || atWork}
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (file) bringBack.mutate(file)
            }}
          />
        </label>
      )}
      {bringBack.isPending && (
        <p role="status" className="mt-3">
          {t('files.archiveSent')}
        </p>
      )}
      {data?.readPercent !== undefined && (
        <p role="status" className="mt-3">
          {t('files.archiveReading', { percent: data.readPercent })}
        </p>
      )}
      {data?.entries !== undefined && (bringBack.isSuccess || atWork) && (
        <p role="status" className="mt-3 font-read text-lg">
          {t('files.archiveRead', { count: data.entries })}
        </p>
      )}
      {data?.empty && data.faults.length > 0 && (
        <div role="alert" className="mt-3 text-crown">
          <p className="font-semibold">{t('files.archiveRefused')}</p>
          <ul className="space-y-1">
            {data.faults.map((fault) => (
              <li key={fault.where + fault.message}>
                {fault.where && <strong>{fault.where}: </strong>}
                {fault.message}
              </li>
            ))}
          </ul>
        </div>
      )}
      {data?.made !== undefined && (
        <p role="status" className="mt-2">
          {t('files.archiveMade', { count: data.made })}
        </p>
      )}
      <Findings error={bringBack.error} />
    </section>
  )
}
