import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { Findings } from '../ui/Page'

/** How far an import is; it goes on whether or not somebody looks. */
export function Importing({ id, onEnd }: { id: string; onEnd: () => void }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const { data, error } = useQuery({
    queryKey: ['import', id],
    queryFn: () => answered(api.GET('/api/v1/imports/apiary/{id}', { params: { path: { id } } })),
    refetchInterval: (query) => (query.state.data?.ended || query.state.error ? false : 500),
    retry: false,
  })
  const ended = data?.ended ?? false
  useEffect(() => {
    if (ended) void client.invalidateQueries({ predicate: (one) => one.queryKey[0] !== 'import' })
  }, [client, ended])
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
      {t('files.kind.apiary.imported', {
        yards: data.yards,
        hives: data.hives,
        queens: data.queens,
      })}
      <button className="act ml-4 text-base" onClick={onEnd}>
        {t('files.another')}
      </button>
    </p>
  )
}
