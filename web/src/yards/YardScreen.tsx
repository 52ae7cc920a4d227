import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import type { EntryKind, NucView, YardPage } from '../api/types'
import { useKey } from '../app/Shell'
import { toggled, withRange } from '../grafts/range'
import { useRecord } from '../outbox/useRecord'
import { sightsFor } from '../queens/sights'
import { useSession } from '../session/queries'
import { ThreadChart } from '../threads/ThreadChart'
import { dayNumber } from '../time/days'
import { Answer, Page } from '../ui/Page'
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
  const chosen = yard.nucs.filter((nuc) => selected.has(nuc.id))
  const held = yard.nucs.filter((nuc) => nuc.queen).length
  const late = yard.nucs.filter((nuc) => nuc.queen && (nuc.queen.late || nuc.queen.overdue)).length

  const choose = (nuc: NucView) => {
    setSelected(
      range && last
        ? withRange(
            selected,
            yard.nucs.map((one) => one.id),
            last,
            nuc.id,
          )
        : toggled(selected, nuc.id),
    )
    setLast(nuc.id)
    setRange(false)
  }
  useKey('Escape', () => setSelected(new Set()))
  return (
    <Page
      title={yard.name}
      lead={
        <>
          {t('yards.nucs', { count: yard.nucs.length, held })}
          {late > 0 && (
            <strong className="text-crown"> · {t('yards.late', { count: late })}</strong>
          )}
        </>
      }
      acts={
        <button className="act" aria-pressed={range} onClick={() => setRange(!range)}>
          {range ? t('yard.rangeOn') : t('yard.range')}
        </button>
      }
    >
      {yard.caution && <p className="mb-2 font-semibold">{yard.caution}</p>}
      <ThreadChart
        name={t('yard.threads', { yard: yard.name })}
        today={today}
        back={15}
        ahead={20}
        afternoons={yard.afternoons}
        rows={yard.nucs.map((nuc) => ({
          id: nuc.id,
          label: <NucLabel nuc={nuc} />,
          says: says(nuc, t),
          thread: nuc.queen?.thread,
          due: nuc.queen?.due && {
            day: nuc.queen.due.window.earliest,
            text: nuc.queen.due.text,
            late: nuc.queen.late || nuc.queen.overdue,
          },
          endWord: nuc.queen?.stageText,
          selected: selected.has(nuc.id),
          onOpen: () => choose(nuc),
        }))}
      />
      {chosen.length > 0 && (
        <Record nucs={chosen} today={today} clear={() => setSelected(new Set())} />
      )}
    </Page>
  )
}

function NucLabel({ nuc }: { nuc: NucView }) {
  const { t } = useTranslation()
  return (
    <>
      <strong className="text-lg">{nuc.code}</strong>{' '}
      <span className="text-sm">{nuc.queen ? nuc.queen.code : t('yard.empty')}</span>
    </>
  )
}

const says = (nuc: NucView, t: (key: string, values?: Record<string, unknown>) => string) =>
  nuc.queen
    ? t('yard.nucSays', {
        code: nuc.code,
        queen: nuc.queen.code,
        stage: nuc.queen.stageText,
        due: nuc.queen.due?.text ?? t('yard.nothingDue'),
      })
    : t('yard.emptySays', { code: nuc.code })

/** What was seen, for one nuc or for the whole selected row at once. */
function Record({ nucs, today, clear }: { nucs: NucView[]; today: string; clear: () => void }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const queens = nucs.flatMap((nuc) => (nuc.queen ? [nuc.queen] : []))
  const common = queens
    .map((queen) => sightsFor(queen.stage))
    .reduce<EntryKind[] | undefined>(
      (shared, sights) => (shared ? shared.filter((kind) => sights.includes(kind)) : sights),
      undefined,
    )
  const one = nucs.length === 1 ? nucs[0] : undefined
  const name = one ? one.code : t('yard.boxes', { count: nucs.length })
  const tap = (kind: EntryKind) => {
    const colours = queens.every((queen) => queen.colour)
    if (kind === 'MARKED' && !colours) return
    void record(
      `${name}: ${t(`kind.${kind}`)}`,
      queens.map((queen) => ({
        subjectKind: 'QUEEN',
        subjectId: queen.id,
        kind,
        ...(kind === 'MARKED' ? { detail: { colour: queen.colour } } : {}),
      })),
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
        {one?.queen && (
          <>
            <Link to={`/queens/${one.queen.id}`} className="underline">
              {one.queen.code}
            </Link>
            , {one.queen.stageText}
            {one.queen.due && `. ${one.queen.due.reasons[0]?.text}`}
          </>
        )}
        {one &&
          !one.queen &&
          one.emptySince &&
          t('yard.emptyFor', { count: dayNumber(today) - dayNumber(one.emptySince) })}
      </p>
      <div className="grid grid-cols-2 gap-2 sm:flex sm:flex-wrap">
        {(common ?? []).map((kind) => (
          <button key={kind} className="act min-h-14 md:min-h-11" onClick={() => tap(kind)}>
            {t(`kind.${kind}`)}
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
