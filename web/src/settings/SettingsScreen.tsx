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
import { ChoiceField, NumberField, TextField } from '../ui/Fields'
import { Answer, Findings, Page } from '../ui/Page'
import { DATES, sayLanguage, USUAL_DATES } from './dates'
import { Figures } from './FiguresTable'
import { linesOf, ownFigures } from './figures'
import { Formats } from './Formats'
import { Marking } from './Marking'
import { OwnScale } from './OwnScale'
import { Worth } from './Worth'
import { settingsQuery } from './queries'
import { Schools } from './Schools'
import { SeasonHands } from './SeasonHands'
import { TrackRecord } from './TrackRecord'

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
      <TrackRecord />
      <PeopleSection />
    </Page>
  )
}

function Form({
  page,
  change,
}: {
  page: SettingsPage
  change: UseMutationResult<unknown, Error, Settings>
}) {
  const { t } = useTranslation()
  const mayChange = useSession().role === 'OWNER'
  const [units, setUnits] = useState(page.settings.units)
  const [dates, setDates] = useState(page.settings.dates ?? USUAL_DATES)
  const [marking, setMarking] = useState(page.settings.marking)
  const [lines, setLines] = useState(() => linesOf(page.standard, page.settings.figures))
  const { own, half } = ownFigures(lines)
  const [swarm, setSwarm] = useState(page.settings.swarm)
  const [preferred, setPreferred] = useState(page.settings.preferred)
  const [formats, setFormats] = useState(page.settings.formats)
  const [hands, setHands] = useState(page.settings.season)
  const [authority, setAuthority] = useState(page.settings.authority ?? '')
  const [mites, setMites] = useState(page.settings.mitePercent)
  const [weak, setWeak] = useState(page.settings.weakFrames)
  const [requeening, setRequeening] = useState(page.settings.requeening ?? 'AT_TWO_YEARS')
  const [spares, setSpares] = useState(page.settings.spares)
  const [scale, setScale] = useState(page.settings.scale)
  const [worth, setWorth] = useState(page.settings.worth)
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
            dates,
            swarm,
            preferred,
            season: hands,
            // made and changed where splits are planned
            recipes: page.settings.recipes,
            ...(authority.trim() ? { authority: authority.trim() } : {}),
            ...(mites === undefined ? {} : { mitePercent: mites }),
            ...(weak === undefined ? {} : { weakFrames: weak }),
            requeening,
            ...(spares === undefined ? {} : { spares }),
            ...(scale === undefined ? {} : { scale }),
            ...(worth === undefined ? {} : { worth }),
            formats: formats.filter((one) => one.name.trim() !== ''),
          })
      }}
    >
      <fieldset disabled={!mayChange}>
        {!mayChange && <p className="mb-4 font-semibold">{t('settings.ownerOnly')}</p>}
        <Marking marking={marking} setMarking={setMarking} />
        <div className="mt-6 grid max-w-xl gap-4 sm:grid-cols-2">
          <ChoiceField
            name={t('settings.units')}
            value={units}
            choices={['METRIC', 'US'] as const}
            say={(one) => t(`settings.${one}`)}
            onChange={setUnits}
          />
          <ChoiceField
            name={t('settings.dates')}
            value={dates}
            choices={DATES}
            say={sayLanguage}
            onChange={setDates}
          />
          <TextField
            name={t('settings.authority')}
            maxLength={200}
            value={authority}
            onChange={setAuthority}
          />
          <NumberField
            name={t('settings.mites')}
            min={0.1}
            max={20}
            step={0.1}
            value={mites}
            onChange={setMites}
          />
          <NumberField
            name={t('settings.weak')}
            min={0.5}
            max={10}
            step={0.5}
            value={weak}
            onChange={setWeak}
          />
          <ChoiceField
            name={t('requeening.policy')}
            value={requeening}
            choices={['EVERY_YEAR', 'AT_TWO_YEARS', 'BY_MERIT'] as const}
            say={(one) => t(`requeening.policies.${one}`)}
            onChange={setRequeening}
          />
          <NumberField
            name={t('settings.spares')}
            min={0}
            max={100}
            value={spares === undefined ? undefined : Math.round(spares * 100)}
            onChange={(percent) => setSpares(percent === undefined ? undefined : percent / 100)}
          />
        </div>
        <OwnScale scale={scale} setScale={setScale} />
        <Worth worth={worth} setWorth={setWorth} />
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
