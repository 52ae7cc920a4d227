import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import type { Batch, SeasonPage, SeasonPlan } from '../api/types'
import { ThreadChart } from '../threads/ThreadChart'
import { sayDay, saySpan } from '../time/days'
import { Findings } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { moved } from './beside'
import { MatingYards } from './MatingYards'
import { daysAhead, holding, percent } from './planned'
import { ReckonedWith } from './ReckonedWith'
import { usePlannedRow } from './usePlannedRow'
import { WaysOut } from './WaysOut'

/** A plan that was found: what it holds, what it costs, and how it looks beside the present one, before it is taken. */
export function PlanFound({
  id,
  plan,
  season,
}: {
  id: string
  plan: SeasonPlan
  season: SeasonPage
}) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const adopt = useMutation({
    mutationFn: () =>
      answered(api.POST('/api/v1/season/searches/{id}/adopt', { params: { path: { id } } })),
    onSuccess: () => client.invalidateQueries(),
  })
  const cups = plan.batches.reduce((sum, batch) => sum + batch.cups, 0)
  return (
    <div className="mt-3" data-testid="found">
      <p className="font-read text-lg">
        {t(plan.holds ? 'season.allHold' : 'season.someHold', {
          holds: holding(plan.promises),
          all: plan.promises.length,
        })}
      </p>
      <p className="text-ink-2">
        {t('season.costs', {
          grafts: plan.batches.length,
          cups,
          hours: Math.round(plan.hours),
        })}{' '}
        {plan.search.proven
          ? t('season.proven')
          : t('season.gap', { gap: (plan.search.gap * 100).toFixed(0) })}
      </p>
      <ul className="mt-2 border-t-2 border-ink">
        {plan.promises
          .filter((promise) => promise.state !== 'HOLDS')
          .map((promise) => (
            <li key={promise.demand} className="border-b border-rule py-1">
              <Reasons reasons={promise.reasons}>
                <strong>{promise.demand}</strong>{' '}
                {t(`season.state.${promise.state}`, {
                  chance: percent(promise.chance),
                  days: promise.daysLate,
                })}
              </Reasons>
            </li>
          ))}
      </ul>
      <WaysOut ways={plan.waysOut} />
      <Beside plan={plan} season={season} />
      {plan.droneStarts.length > 0 && (
        <ul className="mt-2" aria-label={t('season.droneStarts')}>
          {plan.droneStarts.map((one) => (
            <li key={one.colony}>
              {t('season.droneStartFor', {
                ...one,
                days: saySpan(one.combIn),
                graft: sayDay(one.firstGraft),
              })}
            </li>
          ))}
        </ul>
      )}
      <Drawn plan={plan} season={season} />
      <MatingYards yards={plan.yards} />
      <ReckonedWith batches={plan.batches} />
      {plan.changes.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-8">
            {t('season.changes', { count: plan.changes.length })}
          </summary>
          <ul>
            {plan.changes.map((one) => (
              <li key={`${one.kind}${one.day}${one.builder}`}>
                {t(`season.change.${one.kind}`, {
                  ...one,
                  day: sayDay(one.day),
                  before: one.before ?? 0,
                })}
              </li>
            ))}
          </ul>
        </details>
      )}
      <p className="mt-3 flex flex-wrap items-center gap-4">
        <button className="act act-main" disabled={adopt.isPending} onClick={() => adopt.mutate()}>
          {t('season.adopt')}
        </button>
        {adopt.data && <span role="status">{t('season.adopted', adopt.data)}</span>}
      </p>
      <Findings error={adopt.error} />
    </div>
  )
}

/** Whose chance it changes against the plan that is in force. */
function Beside({ plan, season }: { plan: SeasonPlan; season: SeasonPage }) {
  const { t } = useTranslation()
  const others = moved(season.standings, plan.promises)
  if (season.planned.length === 0 || others.length === 0) return null
  return (
    <>
      <h4 className="mt-2 font-work font-bold">{t('season.besidePresent')}</h4>
      <ul data-testid="moved">
        {others.map((one) => (
          <li key={one.demand} className={one.to < one.from ? 'text-crown' : ''}>
            {t('season.moves', {
              demand: one.demand,
              from: percent(one.from),
              to: percent(one.to),
            })}
          </li>
        ))}
      </ul>
    </>
  )
}

/** The present plan and the one that was found, on the same days. */
function Drawn({ plan, season }: { plan: SeasonPlan; season: SeasonPage }) {
  const { t } = useTranslation()
  const present = season.planned.map((line) => line.batch)
  const row = usePlannedRow()
  const ahead = daysAhead([...present, ...plan.batches], season.today)
  const drawn = (name: string, batches: Batch[]) => (
    <div className="min-w-0">
      <h4 className="font-work font-bold">{name}</h4>
      {batches.length === 0 && <p>{t('season.nothingPlanned')}</p>}
      <ThreadChart
        name={name}
        today={season.today}
        back={3}
        ahead={ahead}
        rows={batches.map((batch, index) => ({
          ...row(batch),
          id: `${batch.day}${batch.builder}${index}`,
        }))}
      />
    </div>
  )
  return (
    <div className="mt-4 grid gap-6 xl:grid-cols-2" data-testid="beside">
      {drawn(t('season.present'), present)}
      {drawn(t('season.thisPlan'), plan.batches)}
    </div>
  )
}
