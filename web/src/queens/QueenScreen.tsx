import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import type { Queen, QueenPage } from '../api/types'
import { Entries } from '../journal/Entries'
import { Descent } from '../lineage/Descent'
import { hiveMitesQuery } from '../mites/queries'
import { useRecord } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { ThreadChart } from '../threads/ThreadChart'
import { dayNumber, sayDay, saySpan } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { Act } from './Act'
import { QueenForm } from './QueenForm'
import { queenQuery } from './queries'
import { YearDot } from './YearDot'

export default function QueenScreen() {
  const id = useParams().id ?? ''
  const query = useQuery(queenQuery(id))
  return <Answer query={query}>{(page) => <QueenLife key={id} page={page} />}</Answer>
}

function QueenLife({ page }: { page: QueenPage }) {
  const { t } = useTranslation()
  const { today } = useSession()
  const { queen } = page
  // who left is not in that hive any more: its brood is another's
  const livesIn = queen.alive && queen.hive ? queen.hiveId : undefined
  const mites = useQuery({ ...hiveMitesQuery(livesIn ?? ''), enabled: livesIn !== undefined })
  const clean = livesIn === undefined ? undefined : mites.data?.brood?.none
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
      <WhoSheIs page={page} />
      {queen.due && (
        <div className="mb-4">
          <Reasons reasons={queen.due.reasons}>
            <span className="font-read text-xl">
              <strong className={queen.overdue || queen.late ? 'text-crown' : ''}>
                {queen.due.text}
              </strong>
              , {saySpan(queen.due.window)}
              {queen.comesGood !== undefined &&
                ` · ${t('queen.comesGood', { odds: Math.round(queen.comesGood * 100) })}`}
            </span>
          </Reasons>
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
            clean: clean?.likelyFrom
              ? { from: clean.likelyFrom, until: clean.likelyUntil }
              : undefined,
            endWord: queen.stageText,
            due: queen.due && {
              day: queen.due.window.earliest,
              text: queen.due.text,
              late: queen.late || queen.overdue,
            },
          },
        ]}
      />
      {clean?.likelyFrom && (
        <p className="text-sm text-ink-2">
          {clean.likelyUntil
            ? t('queen.clean', {
                from: sayDay(clean.likelyFrom),
                until: sayDay(clean.likelyUntil),
              })
            : t('queen.cleanOpen', { from: sayDay(clean.likelyFrom) })}
        </p>
      )}
      <div className="mt-6 gap-10 lg:grid lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="min-w-0">
          {!isCell(queen) && <Descent queen={queen} />}
          <Entries subject={queen.id} label={queen.name || queen.code} />
        </div>
        {queen.alive && <Act queen={queen} />}
      </div>
    </Page>
  )
}

const isCell = (queen: Queen) =>
  ['GRAFTED', 'TAKEN', 'SEALED', 'NOT_TAKEN', 'CULLED', 'DUD'].includes(queen.stage)

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

/** Where she comes from and what she is kept for; both can be said anew. */
function WhoSheIs({ page }: { page: QueenPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [changing, setChanging] = useState(false)
  const { queen, breeder, origin, line } = page
  if (isCell(queen)) return null
  const breeds = t(breeder ? 'queen.isNoBreeder' : 'queen.isBreeder')
  return (
    <div className="mb-4">
      <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <span>{t('queen.line', { line })}</span>
        {origin && (
          <span>
            {t(`origin.${origin.kind}`)}
            {page.originHive && ` (${page.originHive})`}
            {origin.from && `: ${origin.from}`}
          </span>
        )}
        {breeder && <strong>{t('queen.isBreeder')}</strong>}
        {queen.alive && (
          <button
            className="act"
            onClick={() =>
              void record(`${queen.code}: ${breeds}`, [
                { deed: { kind: 'QUEEN_BREEDER_SAID', queen: queen.id, breeder: !breeder } },
              ])
            }
          >
            {t(breeder ? 'queen.breedNoMore' : 'queen.breed')}
          </button>
        )}
        {!queen.graftId && (
          <button className="act" aria-expanded={changing} onClick={() => setChanging(!changing)}>
            {t('queen.change')}
          </button>
        )}
      </p>
      {page.marks.map((one) => (
        <p key={one}>{one}</p>
      ))}
      {changing && <QueenForm page={page} onDone={() => setChanging(false)} />}
    </div>
  )
}
