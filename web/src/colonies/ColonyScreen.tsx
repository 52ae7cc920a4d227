import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import type { Advised, ColonyPage, ReadingNotes, SwarmPlan } from '../api/types'
import { useRecord, useTell } from '../outbox/useRecord'
import { sayDay, saySpan } from '../time/days'
import { Answer, Findings, Page } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { YearDot } from '../queens/YearDot'
import { boxesOf, hangingIn } from './BoxChoice'
import { BoxFromAbove } from './BoxFromAbove'
import { colonyQuery } from './queries'
import { FrameMoves } from './FrameMoves'
import { SetUpForm } from './SetUpForm'
import { StackLine } from './StackLine'
import { SwarmSteps } from './SwarmSteps'
import { VerdictColumn } from './VerdictColumn'

const EVENTS = [
  'QUEEN_REMOVED',
  'QUEEN_GIVEN',
  'CELL_GIVEN',
  'VIRGIN_GIVEN',
  'BROOD_GIVEN',
  'CELLS_DESTROYED',
  'SWARMED',
  'CAST',
  'SPLIT_WITH_QUEEN',
  'SPLIT_WITHOUT_QUEEN',
  'QUEEN_CAGED',
  'QUEEN_RELEASED',
  'BROOD_TAKEN',
  'UNITED',
  'STARTED',
] as const

export default function ColonyScreen() {
  const id = useParams().id ?? ''
  const [school, setSchool] = useState<SwarmPlan['school']>()
  const query = useQuery(colonyQuery(id, school))
  return (
    <Answer query={query}>
      {(page) => <Colony key={id} page={page} onSchool={(next) => setSchool(next)} />}
    </Answer>
  )
}

function Colony({
  page,
  onSchool,
}: {
  page: ColonyPage
  onSchool: (school: SwarmPlan['school']) => void
}) {
  const { t } = useTranslation()
  const { colony, verdict, readings } = page
  const [changing, setChanging] = useState(false)
  const drawn = readings.find((one) => one.reading.sides.length > 0)
  return (
    <Page
      title={colony.code}
      lead={`${colony.yardName} · ${t(`purpose.${colony.purpose}`)} · ${colony.format}, ${colony.frames}`}
    >
      <p className="mb-4">
        <Link
          to={`/colonies/${colony.id}/read`}
          className="act act-main inline-flex min-h-12 items-center"
        >
          {t('colonies.doRead')}
        </Link>
        <button
          className="act ml-3"
          aria-expanded={changing}
          onClick={() => setChanging(!changing)}
        >
          {t('setUp.change')}
        </button>
      </p>
      {changing && <SetUpForm page={page} onDone={() => setChanging(false)} />}
      <StackLine page={page} />
      <p className="mb-3 flex flex-wrap items-center gap-x-6">
        {page.queens.map((queen) => (
          <span key={queen.id} className="flex items-center gap-3">
            <Link className="inline-block min-h-6 underline" to={`/queens/${queen.id}`}>
              {queen.name || queen.code}
            </Link>
            <YearDot queen={queen} />
          </span>
        ))}
        {page.strength && (
          <span>
            {t(page.strength.plausible ? 'colony.strength' : 'colony.tooMany', {
              frames: page.strength.framesOfBees,
              bees: page.strength.bees.toLocaleString('en'),
            })}
            {page.strength.sealedCells > 0 &&
              ` ${t('colony.toCome', {
                cells: page.strength.sealedCells.toLocaleString('en'),
                frames: page.strength.framesToCome.toFixed(1),
              })}`}
          </span>
        )}
      </p>
      {page.stores && <StoresLine stores={page.stores} />}
      <div className="gap-10 lg:grid lg:grid-cols-[24rem_minmax(0,1fr)]">
        <VerdictColumn verdict={verdict} />
        <div className="mt-8 min-w-0 lg:mt-0">
          {page.open.length > 0 && <Open page={page} />}
          {page.swarm && <SwarmSteps colony={colony} plan={page.swarm} onSchool={onSchool} />}
          <Options page={page} />
          {drawn && (
            <section className="mt-6" aria-label={t('read.last', { day: sayDay(drawn.day) })}>
              <p className="text-sm text-ink-2">{t('read.last', { day: sayDay(drawn.day) })}</p>
              {boxesOf(page.stack)
                .filter((box) => drawn.reading.sides.some((side) => side.box === box.level))
                .reverse()
                .map((box) => (
                  <BoxFromAbove
                    key={box.id}
                    box={box.level}
                    slots={box.slots}
                    hanging={hangingIn(box)}
                    sides={drawn.reading.sides}
                    height={130}
                    name={`${colony.code}, ${t(`boxKind.${box.kind}`)} ${box.level}`}
                  />
                ))}
            </section>
          )}
          <Happened page={page} />
          <FrameMoves page={page} />
          <Readings page={page} />
        </div>
      </div>
    </Page>
  )
}

function StoresLine({ stores }: { stores: NonNullable<ColonyPage['stores']> }) {
  const { t } = useTranslation()
  const day = sayDay(stores.judgeAgain)
  return (
    <div className="mb-4">
      {t('colony.stores', {
        least: stores.leastKg.toFixed(0),
        most: stores.mostKg.toFixed(0),
        day: sayDay(stores.asOf),
        target: stores.targetKg,
      })}{' '}
      {stores.sugarMostKg > 0.5 && (
        <strong>
          {t(stores.sugarLeastKg > 0 ? 'colony.feed' : 'colony.feedMaybe', {
            least: stores.sugarLeastKg,
            most: stores.sugarMostKg,
            day,
          })}
        </strong>
      )}
      <Reasons reasons={stores.reasons} />
    </div>
  )
}

function Open({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  return (
    <section aria-labelledby="open" className="mb-6">
      <h2 id="open" className="text-xl">
        {t('colony.chosen', { what: page.chosen?.text })}
      </h2>
      <ul className="mt-1 border-t-2 border-ink">
        {page.open.map((one) => (
          <li
            key={`${one.days.earliest}${one.lookFor}`}
            className="border-b border-rule py-2"
            data-testid="follow-up"
          >
            <strong>{saySpan(one.days)}</strong> · {t('colony.lookFor', { what: one.lookFor })}
            {!one.shut && <span className="block text-sm text-ink-2">{one.ifNot}</span>}
          </li>
        ))}
      </ul>
    </section>
  )
}

function Options({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const tell = useTell()
  const choose = useMutation({
    mutationFn: (action: Advised['action']) =>
      tell([{ kind: 'ACTION_CHOSEN', hive: page.colony.id, action, followUps: [] }]),
    onSuccess: () => client.invalidateQueries(),
  })
  const { verdict } = page
  return (
    <section aria-labelledby="options">
      <h2 id="options" className="text-xl">
        {t('colony.options')}
      </h2>
      {verdict.decideBy && (
        <p className="font-semibold">{t('colony.decideBy', { day: sayDay(verdict.decideBy) })}</p>
      )}
      <ul className="mt-1 border-t-2 border-ink">
        {verdict.options.map((option) => (
          <li
            key={option.action}
            className="border-b border-rule py-2"
            data-testid="option"
            data-action={option.action}
          >
            <div className="flex flex-wrap items-baseline gap-x-4">
              <h3 className="font-work text-lg font-bold">{option.text}</h3>
              <span>{t('colony.odds1', { odds: Math.round(option.odds * 100) })}</span>
              {option.ownSchool && <span className="text-sm">{t('colony.ownSchool')}</span>}
              <button
                className="act ml-auto"
                disabled={choose.isPending}
                aria-label={t('colony.chooseLabel', { what: option.text })}
                onClick={() => choose.mutate(option.action)}
              >
                {t('colony.choose')}
              </button>
            </div>
            <p className="text-sm text-ink-2">
              {option.needs} {option.beware}
              {option.lastSensible &&
                ` ${t('colony.lastSensible', { day: sayDay(option.lastSensible) })}`}
            </p>
            <Reasons reasons={option.reasons.slice(2)} />
          </li>
        ))}
      </ul>
      <Findings error={choose.error} />
    </section>
  )
}

function Happened({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [event, setEvent] = useState<(typeof EVENTS)[number]>('QUEEN_REMOVED')
  return (
    <form
      className="mt-6 flex flex-wrap items-end gap-3"
      onSubmit={(submit) => {
        submit.preventDefault()
        void record(`${page.colony.code}: ${t(`happened.${event}`)}`, [
          { deed: { kind: 'HAPPENED', hive: page.colony.id, event } },
        ])
      }}
    >
      <label>
        <span className="block text-sm text-ink-2">{t('colony.happened')}</span>
        <select
          className="field"
          value={event}
          onChange={(change) => setEvent(change.target.value as typeof event)}
        >
          {EVENTS.map((one) => (
            <option key={one} value={one}>
              {t(`happened.${one}`)}
            </option>
          ))}
        </select>
      </label>
      <button className="act">{t('colony.recordHappened')}</button>
    </form>
  )
}

/** Frames of bees as counted for the whole, or else the seams of the boxes together. */
function covered({ framesOfBees, boxes }: ReadingNotes): number | undefined {
  const seams = boxes.flatMap((box) => box.seams ?? [])
  return framesOfBees ?? (seams.length > 0 ? seams.reduce((sum, one) => sum + one) : undefined)
}

function Readings({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const words = (reading: ReadingNotes) =>
    [
      ...(reading.looked ? [t(`read.looked.${reading.looked}`)] : []),
      ...reading.seen.map((sign) => t(`sign.${sign}`)),
      ...(covered(reading) === undefined ? [] : [t('read.covered', { count: covered(reading) })]),
      ...(reading.pollenColours === undefined
        ? []
        : [t('read.colours', { count: reading.pollenColours })]),
      ...(reading.temper ? [t(`read.tempers.${reading.temper}`)] : []),
      ...(reading.lift ? [t(`read.lifts.${reading.lift}`)] : []),
      ...(reading.weather ? [t(`read.weathers.${reading.weather}`)] : []),
      ...reading.cells.map((cell) => `${cell.count} × ${t(`cellLook.${cell.look}`)}`),
      ...reading.absent.map((sign) => t('colony.no', { what: t(`sign.${sign}`) })),
    ].join(', ')
  return (
    <section aria-labelledby="readings" className="mt-6">
      <h2 id="readings" className="text-xl">
        {t('colony.readings')}
      </h2>
      {page.readings.length === 0 && <p>{t('colonies.neverRead')}</p>}
      <ul className="mt-1 border-t-2 border-ink">
        {page.readings.map((line) => (
          <li
            key={line.entry}
            className="flex flex-wrap gap-x-4 border-b border-rule py-2"
            data-testid="reading"
          >
            <strong className="w-24">{sayDay(line.day)}</strong>
            <span className="min-w-0 flex-1">{words(line.reading) || t('colony.framesOnly')}</span>
            <span className="text-sm text-ink-2">{line.by}</span>
            <Link
              className="inline-block min-h-8 underline"
              to={`/colonies/${page.colony.id}/read?corrects=${line.entry}`}
              aria-label={t('colony.correctLabel', { day: sayDay(line.day) })}
            >
              {t('colony.correct')}
            </Link>
            <button
              className="min-h-8 underline"
              aria-label={t('colony.withdrawLabel', { day: sayDay(line.day) })}
              onClick={() =>
                void record(`${page.colony.code}: ${t('queen.withdraw')}`, [
                  { deed: { kind: 'WITHDRAWN' }, corrects: line.entry },
                ])
              }
            >
              {t('queen.withdraw')}
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
