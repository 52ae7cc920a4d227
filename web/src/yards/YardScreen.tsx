import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import type { MatingHive, YardPage } from '../api/types'
import { useKey } from '../app/keys'
import { toggled, withRange } from '../rearing/range'
import { useRecord } from '../outbox/useRecord'
import { actsFor, deedOf, type Act } from '../queens/sights'
import { useSession } from '../session/queries'
import { ThreadChart } from '../threads/ThreadChart'
import { dayNumber } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { PaperLink } from '../ui/PaperLink'
import { Entries } from '../journal/Entries'
import { AboutYard } from './AboutYard'
import { yardQuery } from './queries'

export default function YardScreen() {
  const id = useParams().id ?? ''
  const query = useQuery(yardQuery(id))
  return <Answer query={query}>{(yard) => <Yard key={id} yard={yard} />}</Answer>
}

function Yard({ yard }: { yard: YardPage }) {
  const { t } = useTranslation()
  const { today } = useSession()
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set())
  const [last, setLast] = useState('')
  const [range, setRange] = useState(false)
  const chosen = yard.hives.filter((hive) => selected.has(hive.id))
  const held = yard.hives.filter((hive) => hive.queen).length
  const late = yard.hives.filter(
    (hive) => hive.queen && (hive.queen.late || hive.queen.overdue),
  ).length

  const choose = (hive: MatingHive) => {
    setSelected(
      range && last
        ? withRange(
            selected,
            yard.hives.map((one) => one.id),
            last,
            hive.id,
          )
        : toggled(selected, hive.id),
    )
    setLast(hive.id)
    setRange(false)
  }
  useKey('Escape', () => setSelected(new Set()))
  return (
    <Page
      title={yard.name}
      lead={
        <>
          {t('yards.nucs', { count: yard.hives.length, held })}
          {late > 0 && (
            <strong className="text-crown"> · {t('yards.late', { count: late })}</strong>
          )}
        </>
      }
      acts={
        <>
          <button className="act" aria-pressed={range} onClick={() => setRange(!range)}>
            {range ? t('yard.rangeOn') : t('yard.range')}
          </button>
          <PaperLink path={`/api/v1/yards/${yard.id}/sheet.pdf`} />
        </>
      }
    >
      {yard.caution && <p className="mb-2 font-semibold">{yard.caution}</p>}
      <p className="mb-2 text-sm text-ink-2">{t('caution.REGISTRATION')}</p>
      <ThreadChart
        name={t('yard.threads', { yard: yard.name })}
        today={today}
        back={15}
        ahead={20}
        afternoons={yard.afternoons}
        rows={yard.hives.map((hive) => ({
          id: hive.id,
          label: <HiveLabel hive={hive} />,
          says: says(hive, t),
          thread: hive.queen?.thread,
          due: hive.queen?.due && {
            day: hive.queen.due.window.earliest,
            text: hive.queen.due.text,
            late: hive.queen.late || hive.queen.overdue,
          },
          endWord: hive.queen?.stageText,
          selected: selected.has(hive.id),
          onOpen: () => choose(hive),
        }))}
      />
      {chosen.length > 0 && (
        <Record hives={chosen} today={today} clear={() => setSelected(new Set())} />
      )}
      <AboutYard yard={yard} />
      <Entries subject={yard.id} label={yard.name} />
    </Page>
  )
}

function HiveLabel({ hive }: { hive: MatingHive }) {
  const { t } = useTranslation()
  return (
    <>
      <strong className="text-lg">{hive.code}</strong>{' '}
      <span className="text-sm">{hive.queen ? hive.queen.code : t('yard.empty')}</span>
    </>
  )
}

const says = (hive: MatingHive, t: (key: string, values?: Record<string, unknown>) => string) =>
  hive.queen
    ? t('yard.nucSays', {
        code: hive.code,
        queen: hive.queen.code,
        stage: hive.queen.stageText,
        due: hive.queen.due?.text ?? t('yard.nothingDue'),
      })
    : t('yard.emptySays', { code: hive.code })

/** What was seen, for one hive or for the whole selected row at once. */
function Record({
  hives,
  today,
  clear,
}: {
  hives: MatingHive[]
  today: string
  clear: () => void
}) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const queens = hives.flatMap((hive) => (hive.queen ? [hive.queen] : []))
  const common = queens
    .map((queen) => actsFor(queen.stage))
    .reduce<Act[] | undefined>(
      (shared, acts) => (shared ? shared.filter((act) => acts.includes(act)) : acts),
      undefined,
    )
  const one = hives.length === 1 ? hives[0] : undefined
  const name = one ? one.code : t('yard.boxes', { count: hives.length })
  const tap = (act: Act) => {
    const deeds = queens.map((queen) => deedOf(act, queen))
    if (!deeds.every((deed) => deed !== undefined)) return
    void record(
      `${name}: ${t(`act.${act}`)}`,
      deeds.map((deed) => ({ deed })),
    )
    clear()
  }
  return (
    <section
      aria-label={t('yard.recordFor', { name })}
      className="fixed inset-x-0 bottom-12 z-25 border-t-2 border-ink bg-sheet px-4 py-3 md:bottom-0 md:left-32 md:px-6"
    >
      <p className="mb-2">
        <strong className="text-lg">{name}</strong>{' '}
        {one && (
          <Link to={`/colonies/${one.id}`} className="mr-3 underline">
            {t('yard.openHive')}
          </Link>
        )}
        {one?.queen && (
          <>
            <Link to={`/queens/${one.queen.id}`} className="underline">
              {one.queen.code}
            </Link>
            , {one.queen.stageText}
            {one.queen.due && `. ${one.queen.due.why}`}
          </>
        )}
        {one &&
          !one.queen &&
          one.emptySince &&
          t('yard.emptyFor', { count: dayNumber(today) - dayNumber(one.emptySince) })}
      </p>
      <div className="grid grid-cols-2 gap-2 sm:flex sm:flex-wrap">
        {(common ?? []).map((act) => (
          <button key={act} className="act min-h-14 md:min-h-11" onClick={() => tap(act)}>
            {t(`act.${act}`)}
          </button>
        ))}
        <button className="act min-h-14 md:min-h-11" onClick={clear}>
          {t('yard.close')}
        </button>
      </div>
      {queens.length > 0 && common?.length === 0 && (
        <p className="mt-2">{t('yard.nothingCommon')}</p>
      )}
    </section>
  )
}
