import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Slider } from 'radix-ui'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import type { SeasonPlan, WhatIf } from '../api/types'
import { useDraft } from '../outbox/useRecord'
import { sayDay, saySpan } from '../time/days'
import { ChoiceField } from '../ui/Fields'
import { Findings } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { holding, percent } from './planned'
import { progressQuery } from './queries'
import { ReckonedWith } from './ReckonedWith'

type Letter = 'A' | 'B'
type Given = { assurance: number; grafters: string[] }

/** Two plans side by side: as things are, and with something otherwise. */
export function Searches({ assurance, grafters }: Given) {
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
        <OnePlan letter="A" assurance={assurance} grafters={grafters} />
        {both && <OnePlan letter="B" assurance={assurance} grafters={grafters} />}
      </div>
    </section>
  )
}

function OnePlan({ letter, ...given }: Given & { letter: Letter }) {
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
      <WhatIfForm {...given} value={whatIf} onChange={setWhatIf} />
      <p className="mt-3">
        <button className="act act-main" disabled={begin.isPending} onClick={() => begin.mutate()}>
          {t('season.search')}
        </button>
      </p>
      <Findings error={begin.error} />
      {search && <Found key={search} id={search} />}
    </div>
  )
}

const NUMBERS = [
  { key: 'moreNucs', min: 0, max: 200, step: 10 },
  { key: 'moreBuilders', min: 0, max: 6, step: 1 },
] as const

function WhatIfForm({
  assurance,
  grafters,
  value,
  onChange,
}: Given & {
  value: WhatIf
  onChange: (next: WhatIf) => void
}) {
  const { t } = useTranslation()
  return (
    <div className="mt-2 grid gap-x-6 gap-y-3 sm:grid-cols-2">
      <OneSlider
        name={t('season.assurance')}
        says={percent(value.assurance ?? assurance)}
        value={Math.round((value.assurance ?? assurance) * 100)}
        min={60}
        max={98}
        step={1}
        onChange={(next) => onChange({ ...value, assurance: next / 100 })}
      />
      {NUMBERS.map(({ key, ...range }) => (
        <OneSlider
          key={key}
          name={t(`season.${key}`)}
          says={`+ ${value[key] ?? 0}`}
          value={value[key] ?? 0}
          {...range}
          onChange={(next) => onChange({ ...value, [key]: next })}
        />
      ))}
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5"
          checked={value.workDaysOff ?? false}
          onChange={(event) => onChange({ ...value, workDaysOff: event.target.checked })}
        />
        {t('season.workDaysOff')}
      </label>
      {grafters.length > 1 && (
        <ChoiceField
          name={t('season.grafter')}
          value={value.grafter ?? ''}
          choices={['', ...grafters]}
          say={(one) => one || t('season.grafterYou')}
          onChange={(next) =>
            onChange(next ? { ...value, grafter: next } : { ...value, grafter: undefined })
          }
        />
      )}
    </div>
  )
}

function OneSlider(props: {
  name: string
  says: string
  value: number
  min: number
  max: number
  step: number
  onChange: (next: number) => void
}) {
  const { name, says, value, onChange, ...range } = props
  return (
    <div>
      <span className="flex justify-between">
        <span className="text-sm text-ink-2">{name}</span>
        <strong>{says}</strong>
      </span>
      <Slider.Root
        className="relative flex h-8 touch-none items-center"
        {...range}
        value={[value]}
        onValueChange={([next]) => next !== undefined && onChange(next)}
      >
        <Slider.Track className="relative h-1 grow bg-rule">
          <Slider.Range className="absolute h-full bg-ink" />
        </Slider.Track>
        <Slider.Thumb
          aria-label={name}
          aria-valuetext={says}
          className="block h-7 w-4 border-2 border-ink bg-sheet"
        />
      </Slider.Root>
    </div>
  )
}

function Found({ id }: { id: string }) {
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
  return <PlanFound id={id} plan={data.plan} />
}

function PlanFound({ id, plan }: { id: string; plan: SeasonPlan }) {
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
              <strong>{promise.demand}</strong>{' '}
              {t(`season.state.${promise.state}`, {
                chance: percent(promise.chance),
                days: promise.daysLate,
              })}
              <Reasons reasons={promise.reasons} />
            </li>
          ))}
      </ul>
      {plan.waysOut.length > 0 && (
        <>
          <h4 className="mt-2 font-work font-bold">{t('season.waysOut')}</h4>
          <ul>
            {plan.waysOut.map((way) => (
              <li key={way.kind}>{way.text}</li>
            ))}
          </ul>
        </>
      )}
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
