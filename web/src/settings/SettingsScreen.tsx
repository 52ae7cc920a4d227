import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
} from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { Settings, SettingsPage } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { PeopleSection } from '../people/PeopleSection'
import { useSession } from '../session/queries'
import { Answer, Findings, Page } from '../ui/Page'
import { linesOf, ownFigures, type FigureLine } from './figures'
import { settingsQuery } from './queries'
import { SeasonHands } from './SeasonHands'

const CODE = ['WHITE', 'YELLOW', 'RED', 'GREEN', 'BLUE'] as const
const SWARM_SCHOOLS = [
  'DESTROY_AND_RETURN',
  'LEAVE_ONE_NOW',
  'REMOVE_AND_REPEAT',
  'BEFORE_CELLS',
] as const
const ACTIONS = [
  'TEST_FRAME',
  'GIVE_CELL',
  'GIVE_QUEEN',
  'BROOD_THEN_QUEEN',
  'BROOD_WEEKLY',
  'SHAKE_OUT',
  'SHAKE_OUT_FOR_A_NUC',
  'UNITE',
  'BREAK_UP',
] as const
const PARTS = ['earliest', 'likely', 'latest'] as const

export default function SettingsScreen() {
  const { t } = useTranslation()
  const query = useQuery(settingsQuery)
  const client = useQueryClient()
  const tell = useTell()
  const change = useMutation({
    mutationFn: (settings: Settings) =>
      tell([{ kind: 'SETTINGS_CHANGED', operation: query.data?.operation ?? '', settings }]),
    onSuccess: () => client.invalidateQueries(),
  })
  return (
    <Page title={t('nav.settings')} lead={t('settings.lead')}>
      <Answer query={query}>
        {/* what the device kept may be older than what the server says: the form begins anew with the newer */}
        {(page) => <Form key={JSON.stringify(page.settings)} page={page} change={change} />}
      </Answer>
      <PeopleSection />
    </Page>
  )
}

function Form({
  page,
  change,
}: {
  page: SettingsPage
  change: UseMutationResult<void, Error, Settings>
}) {
  const { t } = useTranslation()
  const mayChange = useSession().role === 'OWNER'
  const [units, setUnits] = useState(page.settings.units)
  const [marking, setMarking] = useState(page.settings.marking)
  const [lines, setLines] = useState(() => linesOf(page.standard, page.settings.figures))
  const { own, half } = ownFigures(lines)
  const [swarm, setSwarm] = useState(page.settings.swarm)
  const [preferred, setPreferred] = useState(page.settings.preferred)
  const [formats, setFormats] = useState(page.settings.formats)
  const [hands, setHands] = useState(page.settings.season)
  return (
    <form
      className="max-w-4xl"
      onSubmit={(event) => {
        event.preventDefault()
        if (half.length === 0)
          change.mutate({
            figures: own,
            marking,
            units,
            swarm,
            preferred,
            season: hands,
            formats: formats.filter((one) => one.name.trim() !== ''),
          })
      }}
    >
      <fieldset disabled={!mayChange}>
        {!mayChange && <p className="mb-4 font-semibold">{t('settings.ownerOnly')}</p>}
        <Marking marking={marking} setMarking={setMarking} />
        <label className="mt-6 block max-w-xs">
          <span className="mb-1 block font-read text-xl">{t('settings.units')}</span>
          <select
            className="field"
            value={units}
            onChange={(event) => setUnits(event.target.value as typeof units)}
          >
            <option value="METRIC">{t('settings.METRIC')}</option>
            <option value="US">{t('settings.US')}</option>
          </select>
        </label>
        <Schools
          swarm={swarm}
          setSwarm={setSwarm}
          preferred={preferred}
          setPreferred={setPreferred}
        />
        <Formats formats={formats} setFormats={setFormats} />
        <SeasonHands hands={hands} onChange={setHands} />
        <Figures page={page} lines={lines} setLines={setLines} />
        {half[0] && (
          <p role="alert" className="mt-3 font-semibold text-crown">
            {t('settings.three', { figure: t(`settings.name.${half[0].figure}`) })}
          </p>
        )}
        <Findings error={change.error} />
        {change.isSuccess && (
          <p role="status" className="mt-3 font-read text-lg">
            {page.reckoning ? t('settings.reckoning', { ...page.reckoning }) : t('settings.kept')}
          </p>
        )}
        {mayChange && (
          <button className="act act-main mt-4" disabled={change.isPending}>
            {t('settings.keep')}
          </button>
        )}
      </fieldset>
    </form>
  )
}

function Marking({
  marking,
  setMarking,
}: {
  marking: Settings['marking']
  setMarking: (next: Settings['marking']) => void
}) {
  const { t } = useTranslation()
  return (
    <section aria-labelledby="marking">
      <h2 id="marking" className="text-xl">
        {t('settings.marking')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.markingHow')}</p>
      <div className="mt-2 flex flex-wrap gap-3">
        {marking.map((colour, index) => (
          <label key={index}>
            <span className="block text-sm text-ink-2">{t(`settings.years.${index}`)}</span>
            <select
              className="field w-36"
              value={colour}
              onChange={(event) =>
                setMarking(
                  marking.map((one, at) =>
                    at === index ? (event.target.value as typeof colour) : one,
                  ),
                )
              }
            >
              {CODE.map((one) => (
                <option key={one} value={one}>
                  {t(`colour.${one}`)}
                </option>
              ))}
            </select>
          </label>
        ))}
        <button type="button" className="act self-end" onClick={() => setMarking([...CODE])}>
          {t('settings.international')}
        </button>
      </div>
    </section>
  )
}

type Swarm = NonNullable<Settings['swarm']>
type Preferred = NonNullable<Settings['preferred']>
type Formats = NonNullable<Settings['formats']>

/** The operation's own way where the trade is of several minds. */
function Schools({
  swarm,
  setSwarm,
  preferred,
  setPreferred,
}: {
  swarm: Swarm
  setSwarm: (next: Swarm) => void
  preferred: Preferred
  setPreferred: (next: Preferred) => void
}) {
  const { t } = useTranslation()
  return (
    <section aria-labelledby="schools" className="mt-6">
      <h2 id="schools" className="text-xl">
        {t('settings.schools')}
      </h2>
      <label className="mt-1 block max-w-md">
        <span className="block text-sm text-ink-2">{t('settings.swarm')}</span>
        <select
          className="field"
          value={swarm}
          onChange={(event) => setSwarm(event.target.value as Swarm)}
        >
          {SWARM_SCHOOLS.map((one) => (
            <option key={one} value={one}>
              {t(`swarm.schools.${one}`)}
            </option>
          ))}
        </select>
      </label>
      <fieldset className="mt-3">
        <legend className="text-sm text-ink-2">{t('settings.preferred')}</legend>
        <div className="flex flex-wrap gap-x-6">
          {ACTIONS.map((one) => (
            <label key={one} className="flex min-h-10 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={preferred.includes(one)}
                onChange={(event) =>
                  setPreferred(
                    event.target.checked
                      ? [...preferred, one]
                      : preferred.filter((other) => other !== one),
                  )
                }
              />
              {t(`action.${one}`)}
            </label>
          ))}
        </div>
      </fieldset>
    </section>
  )
}

function Formats({
  formats,
  setFormats,
}: {
  formats: Formats
  setFormats: (next: Formats) => void
}) {
  const { t } = useTranslation()
  const change = (at: number, next: Partial<Formats[number]>) =>
    setFormats(formats.map((one, index) => (index === at ? { ...one, ...next } : one)))
  return (
    <section aria-labelledby="formats" className="mt-6">
      <h2 id="formats" className="text-xl">
        {t('settings.formats')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.formatsHow')}</p>
      {formats.map((one, at) => (
        <div key={at} className="mt-2 flex flex-wrap gap-3">
          <input
            className="field w-60"
            aria-label={t('settings.formatName')}
            value={one.name}
            onChange={(event) => change(at, { name: event.target.value })}
          />
          <input
            className="field w-32"
            type="number"
            min={1}
            max={30}
            step={0.1}
            aria-label={t('settings.formatArea')}
            value={one.sideSquareDecimetres}
            onChange={(event) => change(at, { sideSquareDecimetres: Number(event.target.value) })}
          />
          <button
            type="button"
            className="act"
            onClick={() => setFormats(formats.filter((_, index) => index !== at))}
          >
            {t('read.takeAway')}
          </button>
        </div>
      ))}
      <button
        type="button"
        className="act mt-2"
        onClick={() => setFormats([...formats, { name: '', sideSquareDecimetres: 8 }])}
      >
        {t('settings.addFormat')}
      </button>
    </section>
  )
}

function Figures({
  page,
  lines,
  setLines,
}: {
  page: SettingsPage
  lines: FigureLine[]
  setLines: (next: FigureLine[]) => void
}) {
  const { t } = useTranslation()
  const write = (row: number, part: number, value: string) =>
    setLines(
      lines.map((line, at) =>
        at === row
          ? {
              ...line,
              days: line.days.map((day, index) =>
                index === part ? value : day,
              ) as typeof line.days,
            }
          : line,
      ),
    )
  return (
    <section aria-labelledby="figures" className="mt-6">
      <h2 id="figures" className="text-xl">
        {t('settings.figures')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.figuresHow')}</p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-labelledby="figures">
        <table className="mt-2 w-full min-w-[44rem] text-left">
          <thead className="text-sm text-ink-2">
            <tr className="border-b-2 border-ink">
              <th className="py-1 pr-3 font-normal">{t('settings.figure')}</th>
              <th className="pr-3 font-normal">{t('settings.trade')}</th>
              <th className="pr-3 font-normal">{t('settings.own')}</th>
              <th className="font-normal">{t('settings.source')}</th>
            </tr>
          </thead>
          <tbody>
            {page.standard.map(({ value, source }, row) => (
              <tr key={value.figure} className="border-b border-rule">
                <td className="py-1 pr-3">{t(`settings.name.${value.figure}`)}</td>
                <td className="pr-3 whitespace-nowrap">
                  {value.earliest === value.latest
                    ? value.likely
                    : `${value.earliest} · ${value.likely} · ${value.latest}`}
                </td>
                <td className="pr-3 whitespace-nowrap">
                  {PARTS.map((part, index) => (
                    <input
                      key={part}
                      className="field mr-1 inline-block w-18"
                      type="number"
                      min={0}
                      max={90}
                      step={0.5}
                      aria-label={`${t(`settings.name.${value.figure}`)}, ${t(`settings.${part}`)}`}
                      value={lines[row]?.days[index] ?? ''}
                      onChange={(event) => write(row, index, event.target.value)}
                    />
                  ))}
                </td>
                <td className="text-sm text-ink-2">{source}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
