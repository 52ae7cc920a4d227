import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { BuilderView, SeasonPage } from '../api/types'
import { buildersQuery } from '../rearing/queries'
import { seasonQuery } from '../season/queries'
import { sayDay, saySpan } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { BeginHere } from '../first/BeginHere'
import { BuilderForm } from './BuilderForm'
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
            {all.length === 0 && (
              <>
                <p className="font-read text-lg">{t('builders.none')}</p>
                <BeginHere />
              </>
            )}
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
