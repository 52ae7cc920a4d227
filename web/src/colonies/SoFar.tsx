import type { UseQueryResult } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import type { ReadingPreview } from '../api/types'
import { VerdictColumn } from './VerdictColumn'

/** What the reading means so far, and what is odd about it: while the hive is open. */
export function SoFar({ preview }: { preview: UseQueryResult<ReadingPreview> }) {
  const { t } = useTranslation()
  return (
    <aside className="mt-6 lg:mt-0" aria-label={t('read.soFar')}>
      {preview.data ? (
        <>
          {preview.data.frameDoubts.length > 0 && (
            <div role="status" className="mb-4 border-l-4 border-crown pl-3">
              {preview.data.frameDoubts.map((one) => (
                <p key={`${one.box} ${one.slot}`} className="font-semibold">
                  {t(one.other === undefined ? 'read.turned' : 'read.swapped', one)}
                </p>
              ))}
              <p className="text-sm text-ink-2">{t('read.putBack')}</p>
            </div>
          )}
          <VerdictColumn verdict={preview.data.verdict} />
        </>
      ) : (
        <p className="text-ink-2">
          {preview.isError ? t('read.verdictLater') : t('connection.loading')}
        </p>
      )}
    </aside>
  )
}
