import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import type { MiteHive } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { BroodWindows } from '../threads/BroodWindows'
import { sayDay } from '../time/days'
import { NumberField } from '../ui/Fields'
import { Answer } from '../ui/Page'

/** The queen caged as a brood stop: which days it opens, what it costs, and that she is caged. */
export function BroodStop({ hive, onDone }: { hive: MiteHive; onDone: () => void }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [days, setDays] = useState<number | undefined>(25)
  const asked = days ?? 25
  const query = useQuery({
    queryKey: ['brood-stop', hive.id, asked],
    queryFn: () =>
      answered(
        api.GET('/api/v1/mites/brood-stop', { params: { query: { hive: hive.id, days: asked } } }),
      ),
    retry: false,
  })
  return (
    <div className="my-3 border-y-2 border-ink py-3">
      <NumberField name={t('brood.days')} min={1} max={60} value={days} onChange={setDays} />
      <Answer query={query}>
        {(page) => (
          <>
            {page.caution && <p className="mt-2 font-semibold text-crown">{page.caution}</p>}
            <p className="mt-2 font-semibold">
              {t('brood.release', { day: sayDay(page.release) })}
            </p>
            <BroodWindows brood={page.brood} />
            <ul className="mt-1">
              {[...page.brood.acts, ...page.brood.cautions].map((one) => (
                <li key={one}>{one}</li>
              ))}
            </ul>
            <button
              className="act act-main mt-2"
              onClick={() => {
                void record(t('brood.caged', { hive: hive.code }), [
                  { deed: { kind: 'BROOD_STOPPED', hive: hive.id, release: page.release } },
                ])
                onDone()
              }}
            >
              {t('brood.sheIsCaged')}
            </button>
          </>
        )}
      </Answer>
    </div>
  )
}
