import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate } from 'react-router'
import type { Deed, GivePage } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { HiveChoice } from '../splits/HiveChoice'
import { NotBegun } from '../splits/TakeAlong'
import { FoldedBroodWindows } from '../threads/BroodWindows'
import { sayDay, saySpan } from '../time/days'
import { ChoiceField, NumberField, TextField, TickField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { bankQuery, giveQuery, type GiveAsk } from './queries'

const KINDS = ['MATED', 'VIRGIN', 'CELL'] as const

/** One queen for one colony: gates first, then the ways with their odds. */
export function Give({
  search,
  set,
}: {
  search: URLSearchParams
  set: (part: Record<string, string>) => void
}) {
  const { t } = useTranslation()
  const said = (key: string) => search.get(key) ?? ''
  const bank = useQuery(bankQuery).data ?? []
  const queen = said('queen')
  const ask: GiveAsk = {
    hive: said('hive'),
    ...(queen ? { queen } : {}),
    kind: KINDS.find((one) => one === said('kind')) ?? 'MATED',
    code: said('code'),
    withNuc: said('nuc') === 'yes',
    sprayed: said('sprayed') === 'yes',
    worth: Number(said('worth') || 100),
    cost: Number(said('cost') || 25),
  }
  const query = useQuery(giveQuery(ask))
  return (
    <>
      <div className="no-print grid grid-cols-2 gap-x-4 gap-y-2 md:grid-cols-5">
        <HiveChoice
          name={t('introductions.hive')}
          value={ask.hive}
          onChange={(hive) => set({ hive })}
        />
        <ChoiceField
          name={t('introductions.queen')}
          value={queen}
          choices={['', ...bank.map((one) => one.id)]}
          say={(id) => bank.find((one) => one.id === id)?.code ?? t('introductions.unrecorded')}
          onChange={(id) => set({ queen: id })}
        />
        {!queen && (
          <>
            <ChoiceField
              name={t('introductions.kind')}
              value={ask.kind}
              choices={KINDS}
              say={(one) => t(`introductions.kinds.${one}`)}
              onChange={(kind) => set({ kind })}
            />
            <TextField
              name={t('introductions.code')}
              maxLength={20}
              value={ask.code}
              onChange={(code) => set({ code })}
            />
          </>
        )}
        <NumberField
          name={t('introductions.cost')}
          value={ask.cost}
          min={0}
          max={10_000}
          onChange={(cost) => set({ cost: cost === undefined ? '' : String(cost) })}
        />
        <NumberField
          name={t('introductions.worth')}
          value={ask.worth}
          min={0}
          max={10_000}
          onChange={(worth) => set({ worth: worth === undefined ? '' : String(worth) })}
        />
        <TickField
          name={t('introductions.withNuc')}
          value={ask.withNuc}
          onChange={(on) => set({ nuc: on ? 'yes' : '' })}
        />
        <TickField
          name={t('introductions.sprayed')}
          value={ask.sprayed}
          onChange={(on) => set({ sprayed: on ? 'yes' : '' })}
        />
      </div>
      {ask.hive && (
        <Answer query={query}>{(page) => <Found key={JSON.stringify(ask)} page={page} />}</Answer>
      )}
    </>
  )
}

function Found({ page }: { page: GivePage }) {
  const { t } = useTranslation()
  return (
    <div className="mt-4">
      <p className="font-read text-2xl font-bold" data-testid="answer">
        {t(`introductions.verdict.${page.verdict}`, { hive: page.hiveCode })}
      </p>
      <ul className="mt-1">
        {page.refusals.map((one) => (
          <li key={one} className="font-semibold text-crown">
            ✕ {one}
          </li>
        ))}
        {page.first.map((one) => (
          <li key={one}>! {one}</li>
        ))}
      </ul>
      <p className="mt-2">
        {t(`introductions.search.${page.search}`)}{' '}
        <Link className="inline-block min-h-6 underline" to={`/colonies/${page.hive}/read`}>
          {t('introductions.searchNow')}
        </Link>
      </p>
      {page.worth.length > 0 && (
        <ul className="mt-2 text-sm">
          {page.worth.map((one) => (
            <li key={one.text}>
              {one.text} {t('introductions.more', { points: Math.round(one.more * 100) })}
            </li>
          ))}
        </ul>
      )}
      {page.ways.map((way, at) => (
        <section key={way.method} aria-labelledby={way.method} className="mt-5">
          <h2 id={way.method} className="text-xl">
            {way.text}{' '}
            <span className="font-work text-base font-normal text-ink-2">
              {t('introductions.chance', {
                likely: Math.round(way.chance.likely * 100),
                least: Math.round(way.chance.least * 100),
                most: Math.round(way.chance.most * 100),
              })}
              {(page.counted[at] ?? 0) > 0 &&
                ` · ${t('introductions.own', { count: page.counted[at] ?? 0 })}`}
            </span>
          </h2>
          <ul className="mt-1">
            {way.steps.map((step) => (
              <li key={step.text}>
                <strong>{saySpan(step.when)}</strong> {step.text}
              </li>
            ))}
            <li>
              <strong>{sayDay(way.planBOn)}</strong> {way.planB}
            </li>
          </ul>
          <Reasons reasons={way.reasons} />
          {way.broodBreak && <FoldedBroodWindows brood={way.broodBreak} />}
          {page.begins[at] && (
            <InHere page={page} deeds={page.begins[at].deeds} what={way.text} main={at === 0} />
          )}
        </section>
      ))}
      {page.after && (
        <p className="mt-4">
          {t('introductions.after', {
            first: saySpan(page.after.firstDaughters),
            half: saySpan(page.after.half),
            all: saySpan(page.after.all),
          })}
        </p>
      )}
    </div>
  )
}

/** Said with her name only, and over what is to be done first only on purpose. */
function InHere({
  page,
  ...begin
}: {
  page: GivePage
  deeds: readonly Deed[]
  what: string
  main: boolean
}) {
  const { t } = useTranslation()
  if (page.verdict === 'DO_NOT') return null
  if (begin.deeds.length === 0)
    return <p className="mt-2 font-semibold">{t('introductions.notYetSo')}</p>
  if (page.code === '?') return <p className="mt-2 font-semibold">{t('introductions.nameHer')}</p>
  if (page.verdict === 'GIVE') return <Begin {...begin} />
  return (
    <details className="mt-2">
      <summary className="inline-block min-h-11 underline decoration-dotted underline-offset-4">
        {t('introductions.allTheSame')}
      </summary>
      <Begin {...begin} main={false} />
    </details>
  )
}

/** She is in: all of it goes into the record at once, or says why not. Its id is of the plan: asked twice it begins once. */
function Begin({ deeds, what, main }: { deeds: readonly Deed[]; what: string; main: boolean }) {
  const { t } = useTranslation()
  const [record] = useState(deeds)
  const client = useQueryClient()
  const navigate = useNavigate()
  const tell = useTell()
  const begin = useMutation({
    mutationFn: () => tell([...record]),
    onSuccess: async () => {
      await client.invalidateQueries()
      const begun = record.find((deed) => deed.kind === 'INTRODUCTION_BEGUN')
      if (begun?.kind === 'INTRODUCTION_BEGUN')
        await navigate(`/introductions/${begun.introduction}`)
    },
  })
  return (
    <div className="no-print mt-2">
      <button
        className={`act ${main ? 'act-main' : ''}`}
        disabled={begin.isPending}
        aria-label={t('introductions.sheIsInWhat', { what })}
        onClick={() => begin.mutate()}
      >
        {t('introductions.sheIsIn')}
      </button>
      <NotBegun error={begin.error} />
    </div>
  )
}
