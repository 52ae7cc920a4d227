import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import type { SeasonPage, WhatIf } from '../api/types'
import { useDraft } from '../outbox/useDraft'
import { Findings } from '../ui/Page'
import { PlanFound } from './PlanFound'
import { progressQuery } from './queries'
import { WhatIfForm } from './WhatIfForm'

/** Two plans side by side: as things are, and with something otherwise. */
export function Searches({ season }: { season: SeasonPage }) {
  const { t } = useTranslation()
  const [both, setBoth] = useState(false)
  return (
    <section aria-labelledby="searches" className="mt-8">
      <h2 id="searches" className="flex flex-wrap items-baseline gap-4 text-xl">
        {t('season.searches')}
        {!both && (
          <button className="act font-work text-base" onClick={() => setBoth(true)}>
            {t('season.besides')}
          </button>
        )}
      </h2>
      <div className={`mt-2 grid gap-x-10 gap-y-8 ${both ? 'lg:grid-cols-2' : ''}`}>
        <OnePlan letter="A" season={season} />
        {both && <OnePlan letter="B" season={season} />}
      </div>
    </section>
  )
}

function OnePlan({ letter, season }: { letter: 'A' | 'B'; season: SeasonPage }) {
  const { t } = useTranslation()
  const [whatIf, setWhatIf] = useDraft<WhatIf>(`draft-what-if-${letter}`, {})
  const [search, setSearch] = useState<string>()
  const begin = useMutation({
    mutationFn: () => answered(api.POST('/api/v1/season/searches', { body: { whatIf } })),
    onSuccess: (begun) => setSearch(begun.id),
  })
  return (
    <div data-testid={`plan-${letter}`}>
      <h3 className="text-lg">{t('season.plan', { letter })}</h3>
      <WhatIfForm season={season} value={whatIf} onChange={setWhatIf} />
      <p className="mt-3">
        <button className="act act-main" disabled={begin.isPending} onClick={() => begin.mutate()}>
          {t('season.search')}
        </button>
      </p>
      <Findings error={begin.error} />
      {search && <Found key={search} id={search} season={season} />}
    </div>
  )
}

function Found({ id, season }: { id: string; season: SeasonPage }) {
  const { t } = useTranslation()
  const progress = useQuery(progressQuery(id))
  const stop = useMutation({
    mutationFn: () =>
      answered(api.POST('/api/v1/season/searches/{id}/stop', { params: { path: { id } } })),
  })
  const { data } = progress
  if (!data) return <Findings error={progress.error} />
  if (data.state === 'WAITING' || data.state === 'RUNNING')
    return (
      <div className="mt-3 flex flex-wrap items-center gap-4" role="status">
        <progress aria-label={t('season.searching')} />
        <span>
          {data.plans === 0
            ? t(data.state === 'WAITING' ? 'season.waiting' : 'season.searching')
            : t('season.soFar', { plans: data.plans, seconds: data.seconds.toFixed(1) })}
        </span>
        <button className="act" disabled={stop.isPending} onClick={() => stop.mutate()}>
          {t('season.stop')}
        </button>
      </div>
    )
  if (!data.plan)
    return (
      <p role="alert" className="mt-3 font-semibold text-crown">
        {data.refusal}
      </p>
    )
  return <PlanFound id={id} plan={data.plan} season={season} />
}
