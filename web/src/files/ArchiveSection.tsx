import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { Findings } from '../ui/Page'

/** The whole operation as one file; into an operation in which nothing is recorded yet one can be read back. */
export function ArchiveSection() {
  const { t } = useTranslation()
  const client = useQueryClient()
  const { data } = useQuery({
    queryKey: ['archive'],
    queryFn: () => answered(api.GET('/api/v1/imports/archive')),
    refetchInterval: (query) => (query.state.data?.made === undefined ? false : 1000),
  })
  const isMade = data?.made === undefined
  const wasMaking = useRef(false)
  useEffect(() => {
    if (!isMade) wasMaking.current = true
    else if (wasMaking.current)
      void client.invalidateQueries({ predicate: (one) => one.queryKey[0] !== 'archive' })
  }, [client, isMade])
  const bringBack = useMutation({
    mutationFn: (archive: string) =>
      answered(
        // as it is: the file is the body
        api.PUT('/api/v1/imports/archive', {
          body: archive as never,
          bodySerializer: () => archive,
          headers: { 'Content-Type': 'application/json' },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ['archive'] }),
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
            disabled={bringBack.isPending}
            onChange={async (event) => {
              const file = event.target.files?.[0]
              if (file) bringBack.mutate(await file.text())
            }}
          />
        </label>
      )}
      {bringBack.data && (
        <p role="status" className="mt-3 font-read text-lg">
          {t('files.archiveRead', { count: bringBack.data.entries })}
        </p>
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
