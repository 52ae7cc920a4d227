import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import type { BuilderSetUp, BuilderView, SeasonPage } from '../api/types'
import { buildersQuery } from '../grafts/queries'
import { seasonQuery } from '../season/queries'
import { sayDay, saySpan } from '../time/days'
import { Answer, Findings, Page } from '../ui/Page'
import { yardsQuery } from '../yards/queries'
import { LoadsChart } from './LoadsChart'

type Sheet = SeasonPage['builders'][number]

export default function BuildersScreen() {
  const { t } = useTranslation()
  const builders = useQuery(buildersQuery)
  const season = useQuery(seasonQuery)
  const [adding, setAdding] = useState(false)
  return (
    <Page
      title={t('builders.title')}
      lead={t('builders.lead')}
      acts={
        <button className="act" aria-expanded={adding} onClick={() => setAdding(!adding)}>
          {t('builders.new')}
        </button>
      }
    >
      {adding && <BuilderForm onDone={() => setAdding(false)} />}
      <Answer query={builders}>
        {(all) => (
          <>
            {all.length === 0 && <p className="font-read text-lg">{t('builders.none')}</p>}
            {season.data && <LoadsChart season={season.data} />}
            <ul className="mt-6 border-t-2 border-ink">
              {all.map((builder) => (
                <Row
                  key={builder.id}
                  builder={builder}
                  sheet={season.data?.builders.find((one) => one.builder === builder.code)}
                />
              ))}
            </ul>
          </>
        )}
      </Answer>
    </Page>
  )
}

function Row({ builder, sheet }: { builder: BuilderView; sheet: Sheet | undefined }) {
  const { t } = useTranslation()
  const [changing, setChanging] = useState(false)
  const { rhythm } = builder
  const steps = (sheet?.loads ?? []).flatMap((load) =>
    load.steps.map((step) => ({ ...step, cups: load.cups })),
  )
  const soonest = steps.toSorted((one, two) => one.when.earliest.localeCompare(two.when.earliest))
  return (
    <li className="border-b border-rule py-3" data-testid="builder" data-code={builder.code}>
      <div className="flex flex-wrap items-baseline gap-x-5">
        <strong className="w-16 text-lg">{builder.code}</strong>
        <span>{builder.yard}</span>
        <span className="text-ink-2">{t(`builders.schools.${builder.school}`)}</span>
        <span>{t('builders.loadOf', { cups: builder.load })}</span>
        <span className="text-sm text-ink-2">
          {t('builders.rhythm', {
            days: rhythm.daysBetweenLoads,
            loads: rhythm.loadsBeforeRest,
            rest: rhythm.restDays,
          })}
        </span>
        <button
          className="act ml-auto"
          aria-expanded={changing}
          aria-label={t('builders.changeLabel', { code: builder.code })}
          onClick={() => setChanging(!changing)}
        >
          {t('builders.change')}
        </button>
      </div>
      {changing && <BuilderForm builder={builder} onDone={() => setChanging(false)} />}
      {soonest.length === 0 ? (
        <p className="text-ink-2">{t('builders.nothing')}</p>
      ) : (
        <details>
          <summary className="min-h-8">{t('builders.steps')}</summary>
          <ul>
            {soonest.map((step) => (
              <li key={`${step.step}${step.when.earliest}`} className="flex gap-x-4">
                <strong className="w-32">{saySpan(step.when)}</strong>
                <span>{step.name}</span>
              </li>
            ))}
            {(sheet?.rests ?? []).map((rest) => (
              <li key={rest.earliest} className="flex gap-x-4">
                <strong className="w-32">{saySpan(rest)}</strong>
                <span>{t('builders.rest')}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
      {sheet && sheet.loads.length > 0 && (
        <p className="text-sm text-ink-2">
          {sheet.loads
            .map((load) => `${sayDay(load.graft)}: ${t('builders.loadOf', { cups: load.cups })}`)
            .join(' · ')}
        </p>
      )}
    </li>
  )
}

const SCHOOLS: BuilderView['school'][] = [
  'STARTER_THEN_FINISHER',
  'STARTER_FINISHER',
  'QUEENRIGHT_EXCLUDER',
]

function BuilderForm({ builder, onDone }: { builder?: BuilderView; onDone: () => void }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const yards = useQuery(yardsQuery)
  const [id] = useState(() => builder?.id ?? uuidv7())
  const [draft, setDraft] = useState<BuilderSetUp>({
    yard: builder?.yardId ?? '',
    code: builder?.code ?? '',
    position: builder?.position ?? 1,
    school: builder?.school ?? 'STARTER_THEN_FINISHER',
    load: builder?.load ?? 20,
  })
  const save = useMutation({
    mutationFn: () =>
      answered(
        api.PUT('/api/v1/builders/{id}', {
          params: { path: { id } },
          body: { ...draft, yard: draft.yard || (yards.data?.[0]?.id ?? '') },
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries()
      onDone()
    },
  })
  return (
    <form
      className="my-3 grid max-w-3xl gap-x-6 gap-y-3 border-y border-ink py-3 sm:grid-cols-3"
      onSubmit={(event) => {
        event.preventDefault()
        save.mutate()
      }}
    >
      <label>
        <span className="block text-sm text-ink-2">{t('builders.code')}</span>
        <input
          className="field"
          required
          value={draft.code}
          onChange={(event) => setDraft({ ...draft, code: event.target.value })}
        />
      </label>
      <label>
        <span className="block text-sm text-ink-2">{t('builders.yard')}</span>
        <select
          className="field"
          value={draft.yard}
          onChange={(event) => setDraft({ ...draft, yard: event.target.value })}
        >
          {yards.data?.map((yard) => (
            <option key={yard.id} value={yard.id}>
              {yard.name}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="block text-sm text-ink-2">{t('builders.position')}</span>
        <input
          className="field"
          type="number"
          min={1}
          value={draft.position}
          onChange={(event) => setDraft({ ...draft, position: Number(event.target.value) })}
        />
      </label>
      <label>
        <span className="block text-sm text-ink-2">{t('builders.school')}</span>
        <select
          className="field"
          value={draft.school}
          onChange={(event) =>
            setDraft({ ...draft, school: event.target.value as BuilderView['school'] })
          }
        >
          {SCHOOLS.map((school) => (
            <option key={school} value={school}>
              {t(`builders.schools.${school}`)}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="block text-sm text-ink-2">{t('builders.load')}</span>
        <input
          className="field"
          type="number"
          min={1}
          max={45}
          value={draft.load ?? ''}
          onChange={(event) => {
            const load = event.target.value === '' ? undefined : Number(event.target.value)
            setDraft({ ...draft, load, framesOfBees: undefined })
          }}
        />
      </label>
      <label>
        <span className="block text-sm text-ink-2">{t('builders.frames')}</span>
        <input
          className="field"
          type="number"
          min={0}
          max={40}
          step={0.5}
          value={draft.framesOfBees ?? ''}
          onChange={(event) => {
            const frames = event.target.value === '' ? undefined : Number(event.target.value)
            setDraft({ ...draft, framesOfBees: frames, load: undefined })
          }}
        />
      </label>
      <p className="sm:col-span-3">
        <button className="act act-main" disabled={save.isPending}>
          {t('builders.save')}
        </button>
      </p>
      <div className="sm:col-span-3">
        <Findings error={save.error} />
      </div>
    </form>
  )
}
