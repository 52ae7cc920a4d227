import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { EntryKind, Stop } from '../api/types'
import { useRecord, type Tap } from '../outbox/useRecord'
import { needsItsPage, sightOfDone, sightsFor } from '../queens/sights'
import { SmallThread } from '../threads/SmallThread'
import { Reasons } from '../ui/Reasons'

/** One job at one box: code big, verb, a reason in one line, two big targets. */
export function StopRow({ stop, today }: { stop: Stop; today: string }) {
  const { t } = useTranslation()
  const [saw, setSaw] = useState(false)
  const { record } = useRecord()
  const reason = stop.reasons[0]

  const tapped = (kind: EntryKind, extra: Partial<Tap> = {}) =>
    void record(`${stop.code}: ${t(`kind.${kind}`)}`, [tap(stop, kind, extra)])

  return (
    <li
      className="border-b border-rule py-3"
      data-testid="stop"
      data-job={stop.job}
      data-code={stop.code}
    >
      <div className="grid items-center gap-x-4 gap-y-2 md:grid-cols-[6.5rem_minmax(0,1fr)_220px_auto]">
        <p className="flex items-baseline gap-3 text-2xl font-bold">
          <span className="whitespace-nowrap">{stop.code}</span>
          <span className={`text-lg md:hidden ${stop.overdue ? 'text-crown' : ''}`}>
            {stop.text}
          </span>
        </p>
        <div className="min-w-0">
          <h3
            className={`hidden font-work text-lg font-bold md:block ${stop.overdue ? 'text-crown' : ''}`}
          >
            {stop.text}
          </h3>
          <p className="text-sm text-ink-2">
            {stop.overdue && <strong className="text-crown">{t('round.overdue')} </strong>}
            {reason?.text}
          </p>
          <Reasons reasons={stop.reasons} />
        </div>
        <div className="hidden md:block">
          {stop.queen && <SmallThread thread={stop.queen.thread} today={today} />}
        </div>
        <div className="flex gap-3">
          <DoneTarget stop={stop} onTap={tapped} />
          <button
            className="act min-h-14 flex-1 md:min-h-11 md:flex-none"
            aria-expanded={saw}
            aria-label={t('round.sawLabel', { code: stop.code })}
            onClick={() => setSaw(!saw)}
          >
            {t('round.saw')}
          </button>
        </div>
      </div>
      {saw && <Saw stop={stop} onTap={tapped} close={() => setSaw(false)} />}
    </li>
  )
}

type OnTap = (kind: EntryKind, extra?: Partial<Tap>) => void

function tap(stop: Stop, kind: EntryKind, extra: Partial<Tap>): Tap {
  return { subjectKind: stop.subjectKind, subjectId: stop.subject, kind, ...extra }
}

function DoneTarget({ stop, onTap }: { stop: Stop; onTap: OnTap }) {
  const { t } = useTranslation()
  const big = 'act act-main min-h-14 flex-1 md:min-h-11 md:flex-none'
  if (stop.job === 'DRONE_COMB') {
    return (
      <button
        className={big}
        onClick={() => onTap('DRONE_COMB_IN')}
        aria-label={t('round.doneLabel', { code: stop.code, what: t('kind.DRONE_COMB_IN') })}
      >
        {t('kind.DRONE_COMB_IN')}
      </button>
    )
  }
  if (stop.subjectKind === 'COLONY') {
    const read = stop.job === 'READ_COLONY'
    return (
      <Link
        to={`/colonies/${stop.subject}${read ? '/read' : ''}`}
        className={`${big} inline-flex items-center justify-center`}
        aria-label={t('round.openLabel', { code: stop.code, job: stop.text })}
      >
        {t(read ? 'colonies.doRead' : 'round.open')}
      </Link>
    )
  }
  if (needsItsPage(stop)) {
    const graft = stop.graft ?? stop.queen?.graftId
    return (
      <Link
        to={`/grafts/${graft}`}
        className={`${big} inline-flex items-center justify-center`}
        aria-label={t('round.openLabel', { code: stop.code, job: stop.text })}
      >
        {t('round.open')}
      </Link>
    )
  }
  const sight = sightOfDone(stop.job)
  const done = () => {
    if (!sight) return onTap('STEP_DONE', { detail: { step: stop.job as never } })
    if (sight === 'PLACED_IN_NUC') return onTap(sight, { detail: { nuc: stop.nuc } })
    if (sight === 'MARKED')
      return onTap(sight, { detail: { colour: stop.queen?.colour, number: '' } })
    return onTap(sight)
  }
  return (
    <button
      className={big}
      onClick={done}
      aria-label={t('round.doneLabel', {
        code: stop.code,
        what: sight ? t(`kind.${sight}`) : stop.text,
      })}
    >
      {sight ? t(`kind.${sight}`) : t('round.done')}
    </button>
  )
}

/** Everything else that may have been seen, and that it was not possible today. */
function Saw({ stop, onTap, close }: { stop: Stop; onTap: OnTap; close: () => void }) {
  const { t } = useTranslation()
  const [note, setNote] = useState('')
  const sights = stop.queen
    ? sightsFor(stop.queen.stage).filter(
        (kind) => kind !== 'MARKED' && kind !== sightOfDone(stop.job),
      )
    : []
  const pick = (kind: EntryKind, extra?: Partial<Tap>) => {
    close()
    onTap(kind, extra)
  }
  return (
    <div className="mt-3 grid grid-cols-2 gap-2 sm:flex sm:flex-wrap">
      {sights.map((kind) => (
        <button key={kind} className="act min-h-14 md:min-h-11" onClick={() => pick(kind)}>
          {t(`kind.${kind}`)}
        </button>
      ))}
      <button
        className="act min-h-14 md:min-h-11"
        onClick={() => pick('NOT_POSSIBLE', { detail: { job: stop.job } })}
      >
        {t('kind.NOT_POSSIBLE')}
      </button>
      <form
        className="col-span-2 flex w-full gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          pick('NOTE', { detail: { text: note } })
        }}
      >
        <input
          className="field"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          aria-label={t('round.noteLabel')}
          placeholder={t('round.noteLabel')}
          required
        />
        <button className="act">{t('round.keepNote')}</button>
      </form>
    </div>
  )
}
