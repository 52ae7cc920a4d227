import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import type { Deed, JournalLine, Queen, QueenPage, Sight } from '../api/types'
import { useDraft, useRecord } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { ThreadChart } from '../threads/ThreadChart'
import { dayNumber, sayDay, saySpan } from '../time/days'
import { Answer, More, Page } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { YearDot } from './YearDot'
import { queenQuery, useJournal } from './queries'
import { actsFor, deedOf } from './sights'

export default function QueenScreen() {
  const id = useParams().id ?? ''
  const query = useQuery(queenQuery(id))
  return <Answer query={query}>{(page) => <QueenLife key={id} page={page} />}</Answer>
}

function QueenLife({ page }: { page: QueenPage }) {
  const { t } = useTranslation()
  const { today } = useSession()
  const { queen } = page
  const first = queen.thread.strands[0]?.from
  const back = first ? Math.min(90, Math.max(15, dayNumber(today) - dayNumber(first) + 2)) : 20
  return (
    <Page title={queen.name || queen.code} lead={<Where queen={queen} />}>
      <p className="mb-2 flex flex-wrap items-center gap-x-6 gap-y-1">
        <YearDot queen={queen} />
        {queen.motherId && (
          <span>
            {t('queen.mother')}{' '}
            <Link className="inline-block min-h-6 underline" to={`/queens/${queen.motherId}`}>
              {queen.mother}
            </Link>
          </span>
        )}
        {queen.graftId && (
          <Link className="inline-block min-h-6 underline" to={`/grafts/${queen.graftId}`}>
            {t('queen.graft', { bar: queen.bar, cup: queen.cup })}
          </Link>
        )}
        {page.daughters > 0 && (
          <span>
            {t('queen.daughters', { count: page.daughters, laying: page.daughtersLaying })}
          </span>
        )}
      </p>
      {queen.due && (
        <div className="mb-4">
          <p className="font-read text-xl">
            <strong className={queen.overdue || queen.late ? 'text-crown' : ''}>
              {queen.due.text}
            </strong>
            , {saySpan(queen.due.window)}
            {queen.comesGood !== undefined &&
              ` · ${t('queen.comesGood', { odds: Math.round(queen.comesGood * 100) })}`}
          </p>
          <Reasons reasons={queen.due.reasons} />
        </div>
      )}
      <ThreadChart
        name={t('queen.thread')}
        today={today}
        back={back}
        ahead={24}
        rows={[
          {
            id: queen.id,
            label: <strong className="text-lg">{queen.code}</strong>,
            says: `${queen.code}, ${queen.stageText}`,
            thread: queen.thread,
            endWord: queen.stageText,
            due: queen.due && {
              day: queen.due.window.earliest,
              text: queen.due.text,
              late: queen.late || queen.overdue,
            },
          },
        ]}
      />
      <div className="mt-6 gap-10 lg:grid lg:grid-cols-[minmax(0,1fr)_20rem]">
        <Entries queen={queen} />
        {queen.alive && <Act queen={queen} />}
      </div>
    </Page>
  )
}

function Where({ queen }: { queen: Queen }) {
  const { t } = useTranslation()
  const place = queen.hive
    ? t('queen.inHive', { hive: queen.hive })
    : queen.cage
      ? t('queen.inCage', { cage: queen.cage })
      : ''
  return (
    <>
      {queen.stageText}
      {place && `, ${place}`}
    </>
  )
}

const COLOURS = ['WHITE', 'YELLOW', 'RED', 'GREEN', 'BLUE'] as const

/** Marking, a note, and everything else that can be seen. */
function Act({ queen }: { queen: Queen }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [number, setNumber] = useState('')
  const [colour, setColour] = useState(queen.colour ?? 'WHITE')
  const [note, setNote, clearNote] = useDraft(`draft-note-${queen.id}`, '')
  const put = (word: string, deed: Deed | undefined) => {
    if (deed) void record(`${queen.code}: ${word}`, [{ deed }])
  }
  return (
    <section aria-labelledby="act" className="mt-6 lg:mt-0">
      <h2 id="act" className="text-xl">
        {t('queen.act')}
      </h2>
      {queen.emergenceYear > 0 || queen.stage === 'JUDGED' || queen.stage === 'LAYING' ? (
        <form
          className="mt-3 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            put(t('act.MARKED'), { kind: 'QUEEN_MARKED', queen: queen.id, colour, number })
          }}
        >
          <label>
            <span className="block text-sm text-ink-2">{t('queen.markColour')}</span>
            <select
              className="field"
              value={colour}
              onChange={(event) => setColour(event.target.value as typeof colour)}
            >
              {COLOURS.map((one) => (
                <option key={one} value={one}>
                  {t(`colour.${one}`)}
                  {one === queen.colour ? ` · ${queen.emergenceYear}` : ''}
                </option>
              ))}
            </select>
          </label>
          <label className="flex-1">
            <span className="block text-sm text-ink-2">{t('queen.number')}</span>
            <input
              className="field"
              value={number}
              onChange={(event) => setNumber(event.target.value)}
              maxLength={8}
            />
          </label>
          <button className="act act-main">
            {t('queen.mark', { colour: t(`colour.${colour}`) })}
          </button>
        </form>
      ) : null}
      {queen.mark && (
        <p className="mt-2 flex items-center gap-3">
          <button
            className="act shrink-0"
            onClick={() => put(t('act.MARK_LOST'), deedOf('MARK_LOST', queen))}
          >
            {t('act.MARK_LOST')}
          </button>
          <span className="text-sm text-ink-2">{t('queen.markLostHow')}</span>
        </p>
      )}
      <form
        className="mt-3 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          put(t('act.NOTED'), { kind: 'QUEEN_NOTED', queen: queen.id, text: note })
          clearNote()
        }}
      >
        <label className="flex-1">
          <span className="block text-sm text-ink-2">{t('round.noteLabel')}</span>
          <input
            className="field"
            value={note}
            onChange={(event) => setNote(event.target.value)}
            required
          />
        </label>
        <button className="act">{t('round.keepNote')}</button>
      </form>
      <div className="mt-4 flex flex-wrap gap-2">
        {actsFor(queen.stage)
          .filter((act) => act !== 'MARKED')
          .map((act) => (
            <button
              key={act}
              className="act"
              onClick={() => put(t(`act.${act}`), deedOf(act, queen))}
            >
              {t(`act.${act}`)}
            </button>
          ))}
      </div>
    </section>
  )
}

function Entries({ queen }: { queen: Queen }) {
  const { t } = useTranslation()
  const query = useJournal(queen.id)
  const [correcting, setCorrecting] = useState('')
  return (
    <section aria-labelledby="entries">
      <h2 id="entries" className="text-xl">
        {t('queen.entries')}
      </h2>
      <More query={query} name={t('queen.olderEntries')} />
      <Answer query={query}>
        {(lines) => (
          <ul className="mt-2 border-t-2 border-ink">
            {lines
              .toReversed()
              .filter((line) => line.deed.kind !== 'WITHDRAWN')
              .map((line) => (
                <li
                  key={line.id}
                  className="border-b border-rule py-2"
                  data-testid="entry"
                  data-stands={line.stands}
                >
                  <div className="flex flex-wrap items-baseline gap-x-4">
                    <span className="w-28">{sayDay(line.happenedAt.slice(0, 10))}</span>
                    <span className={line.stands ? 'font-bold' : 'line-through'}>
                      {what(line.deed, queen, t)}
                    </span>
                    <span className="text-sm text-ink-2">
                      {line.by}
                      {!line.stands && ` · ${t('queen.corrected')}`}
                    </span>
                    {line.stands && isCorrectedHere(line.deed) && (
                      <button
                        className="ml-auto min-h-8 underline"
                        aria-expanded={correcting === line.id}
                        aria-label={t('queen.correctLabel', { what: what(line.deed, queen, t) })}
                        onClick={() => setCorrecting(correcting === line.id ? '' : line.id)}
                      >
                        {t('queen.correct')}
                      </button>
                    )}
                  </div>
                  {line.clash && <p className="font-semibold text-crown">{line.clash}</p>}
                  {correcting === line.id && (
                    <Correction queen={queen} line={line} close={() => setCorrecting('')} />
                  )}
                </li>
              ))}
          </ul>
        )}
      </Answer>
    </section>
  )
}

/** Deeds over several things are put right where they were recorded. */
const isCorrectedHere = (deed: Deed): boolean =>
  deed.kind === 'QUEEN_SEEN' ||
  deed.kind === 'QUEEN_PLACED' ||
  deed.kind === 'CELL_CULLED' ||
  deed.kind === 'CELL_CAGED' ||
  deed.kind === 'QUEEN_MARKED' ||
  deed.kind === 'QUEEN_TAKEN_OUT' ||
  deed.kind === 'QUEEN_NOTED'

type Say = (key: string, values?: Record<string, unknown>) => string

function what(deed: Deed, queen: Queen, t: Say): string {
  switch (deed.kind) {
    case 'QUEEN_SEEN':
      return t(`act.${deed.sight}`)
    case 'TAKE_COUNTED':
      return t(deed.took.includes(queen.id) ? 'act.TOOK' : 'act.DID_NOT_TAKE')
    case 'CELL_CULLED':
      return `${t('deed.CELL_CULLED')}: ${t(`cull.${deed.reason}`)}`
    case 'QUEEN_PLACED':
      return deed.place
        ? `${t('deed.QUEEN_PLACED')}: ${t(`cellPlace.${deed.place}`)}`
        : t('deed.QUEEN_PLACED')
    case 'QUEEN_MARKED':
      return deed.number ? `${t('deed.QUEEN_MARKED')}: ${deed.number}` : t('deed.QUEEN_MARKED')
    case 'QUEEN_NOTED':
      return `${t('deed.QUEEN_NOTED')}: ${deed.text}`
    case 'QUEEN_TAKEN_OUT':
      return deed.whereTo
        ? `${t('deed.QUEEN_TAKEN_OUT')}: ${deed.whereTo}`
        : t('deed.QUEEN_TAKEN_OUT')
    default:
      return t(`deed.${deed.kind}`)
  }
}

const SIGHTS: Sight[] = [
  'EMERGED',
  'DUD',
  'VIRGIN',
  'NO_EGGS_YET',
  'EGGS',
  'SEALED_WORKER_BROOD',
  'DRONE_BROOD_ONLY',
  'NOT_FOUND',
  'DEAD',
]

/** Puts another sight or day in an entry's place, or takes it away. The first one stays readable. */
function Correction({
  queen,
  line,
  close,
}: {
  queen: Queen
  line: JournalLine
  close: () => void
}) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const { today } = useSession()
  const [day, setDay] = useState(line.happenedAt.slice(0, 10))
  const { deed } = line
  const before = deed.kind === 'QUEEN_SEEN' ? deed.sight : ''
  const [sight, setSight] = useState<Sight | ''>(before)
  const choices: Sight[] = before && !SIGHTS.includes(before) ? [before, ...SIGHTS] : SIGHTS
  const put = (correction: Deed, onDay?: string) => {
    void record(`${queen.code}: ${t('queen.correct')}`, [
      { deed: correction, corrects: line.id, ...(onDay ? { day: onDay } : {}) },
    ])
    close()
  }
  const instead = (): Deed => (sight ? { kind: 'QUEEN_SEEN', queen: queen.id, sight } : deed)
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        put(instead(), day)
      }}
    >
      <label>
        <span className="block text-sm text-ink-2">{t('queen.instead')}</span>
        <select
          className="field"
          value={sight}
          onChange={(event) => setSight(event.target.value as Sight)}
        >
          {!before && <option value="">{what(deed, queen, t)}</option>}
          {choices.map((choice) => (
            <option key={choice} value={choice}>
              {t(`act.${choice}`)}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="block text-sm text-ink-2">{t('queen.onDay')}</span>
        <input
          className="field"
          type="date"
          max={today}
          value={day}
          onChange={(event) => setDay(event.target.value)}
          required
        />
      </label>
      <button className="act act-main">{t('queen.keepCorrection')}</button>
      <button type="button" className="act" onClick={() => put({ kind: 'WITHDRAWN' })}>
        {t('queen.withdraw')}
      </button>
    </form>
  )
}
