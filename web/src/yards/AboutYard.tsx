import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { YardPage } from '../api/types'
import { choicesQuery } from '../lineage/queries'
import { useRecord, useTell } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { NumberField, TextField, TicksField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'
import { useSay } from '../units/useSay'
import { FlowLine } from './FlowLine'
import { HiveRows } from './HiveRows'
import { YardForm } from './YardForm'

type Condition = YardPage['place']['conditions'][number]
const CONDITIONS: Condition[] = [
  'NEIGHBOURS',
  'BEETLES',
  'ROBBING',
  'LIVESTOCK',
  'PREDATORS',
  'EXPOSED',
  'HARD_ROAD',
]
type Opened = 'place' | 'rows' | 'site' | 'mating' | 'close' | undefined

/** What a yard is like, and everything that can be changed of it. */
export function AboutYard({ yard }: { yard: YardPage }) {
  const { t } = useTranslation()
  const { role } = useSession()
  const tell = useTell()
  const [open, setOpen] = useState<Opened>(
    yard.hives.length + yard.others === 0 ? 'rows' : undefined,
  )
  const owner = role === 'OWNER'
  const done = () => setOpen(undefined)
  const opener = (which: Opened, word: string) => (
    <button
      className="act"
      aria-expanded={open === which}
      onClick={() => setOpen(open === which ? undefined : which)}
    >
      {t(`yardForm.${word}`)}
    </button>
  )
  return (
    <section aria-labelledby="about" className="mt-8 max-w-4xl">
      <h2 id="about" className="text-xl">
        {t('yardForm.about')}
      </h2>
      <Facts yard={yard} />
      <div className="mt-3 flex flex-wrap gap-3">
        {opener('rows', 'rows')}
        {opener('site', 'site')}
        {owner && opener('mating', 'mating')}
        {owner && opener('place', 'edit')}
        {owner && !yard.place.closedOn && opener('close', 'close')}
      </div>
      {open === 'rows' && <HiveRows yard={yard.id} prefix={yard.place.prefix} onDone={done} />}
      {open === 'site' && <SiteForm yard={yard} onDone={done} />}
      {open === 'mating' && <MatingForm yard={yard} onDone={done} />}
      {open === 'place' && <YardForm yard={yard} onDone={done} />}
      {open === 'close' && (
        <SavedForm
          send={() => tell([{ kind: 'YARD_CLOSED', yard: yard.id }])}
          onDone={done}
          name={t('yardForm.closeNow')}
        >
          <p className="sm:col-span-3">{t('yardForm.closeMeans')}</p>
        </SavedForm>
      )}
    </section>
  )
}

function Facts({ yard }: { yard: YardPage }) {
  const { t } = useTranslation()
  const say = useSay()
  const { role } = useSession()
  const { record } = useRecord()
  const { place } = yard
  const best = Math.max(...place.fitAfternoons)
  const month = place.fitAfternoons.indexOf(best)
  return (
    <ul className="mt-1 space-y-1">
      {place.closedOn && <li className="font-semibold text-crown">{t('yardForm.isClosed')}</li>}
      <li>
        {t('yardForm.where', {
          latitude: place.latitude.toFixed(3),
          longitude: place.longitude.toFixed(3),
          height: say.height(place.elevationMetres),
        })}
        {yard.others > 0 && ` ${t('yardForm.others', { count: yard.others })}`}
      </li>
      <li>
        {t(place.climateSaid ? 'yardForm.climateSaid' : 'yardForm.climateLikely', {
          climate: t(`climate.${place.climate}`),
          month: t(`months.${month}`),
          high: say.temperature(place.usualHighs[month] ?? 0),
          odds: Math.round(best * 10),
        })}
      </li>
      <li>
        {t(place.stationOn ? 'yardForm.stationOn' : 'yardForm.stationOff')}{' '}
        {role === 'OWNER' && (
          <button
            className="min-h-8 underline"
            onClick={() =>
              void record(`${yard.name}: ${t('deed.YARD_STATION_SWITCHED')}`, [
                { deed: { kind: 'YARD_STATION_SWITCHED', yard: yard.id, on: !place.stationOn } },
              ])
            }
          >
            {t(place.stationOn ? 'yardForm.switchOff' : 'yardForm.switchOn')}
          </button>
        )}
      </li>
      {yard.hives.length > 0 && (
        <li>
          {place.matingLines.length > 0
            ? t('yardForm.keptFor', { lines: place.matingLines.join(', ') })
            : t('yardForm.keptForNone')}{' '}
          {t(place.driveSaid ? 'yardForm.driveSaid' : 'yardForm.driveReckoned', {
            minutes: place.driveMinutes,
          })}
        </li>
      )}
      <FlowLine yard={yard} />
      {place.conditions.length > 0 && (
        <li>{place.conditions.map((one) => t(`site.${one}`)).join(', ')}</li>
      )}
      {place.rules && <li className="font-semibold">{place.rules}</li>}
    </ul>
  )
}

/** Whose virgins are to mate here, and how far it is. */
function MatingForm({ yard, onDone }: { yard: YardPage; onDone: () => void }) {
  const { t } = useTranslation()
  const tell = useTell()
  const known = useQuery(choicesQuery).data?.lines ?? []
  const { place } = yard
  const [lines, setLines] = useState(place.matingLines)
  const [minutes, setMinutes] = useState<number | undefined>(
    place.driveSaid ? place.driveMinutes : undefined,
  )
  return (
    <SavedForm
      send={() => tell([{ kind: 'YARD_MATING_SAID', yard: yard.id, lines, driveMinutes: minutes }])}
      onDone={onDone}
      name={t('yardForm.saveMating')}
    >
      <TicksField
        name={t('yardForm.matingLines')}
        value={lines}
        choices={[...new Set([...known, ...place.matingLines])].toSorted()}
        say={(one) => one}
        onChange={setLines}
      />
      <p className="text-sm text-ink-2 sm:col-span-3">{t('yardForm.matingLinesMean')}</p>
      <NumberField
        name={t('yardForm.drive')}
        value={minutes}
        min={0}
        max={600}
        onChange={setMinutes}
      />
    </SavedForm>
  )
}

function SiteForm({ yard, onDone }: { yard: YardPage; onDone: () => void }) {
  const { t } = useTranslation()
  const tell = useTell()
  const [conditions, setConditions] = useState<Condition[]>(yard.place.conditions)
  const [rules, setRules] = useState(yard.place.rules)
  return (
    <SavedForm
      send={() => tell([{ kind: 'YARD_SITE_DESCRIBED', yard: yard.id, conditions, rules }])}
      onDone={onDone}
      name={t('yardForm.saveSite')}
    >
      <TicksField
        name={t('yardForm.conditions')}
        value={conditions}
        choices={CONDITIONS}
        say={(one) => t(`site.${one}`)}
        onChange={setConditions}
      />
      <TextField name={t('yardForm.rules')} wide value={rules} onChange={setRules} />
    </SavedForm>
  )
}
