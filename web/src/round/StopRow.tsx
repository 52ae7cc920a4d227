import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { v7 as uuidv7 } from 'uuid'
import type { Deed, Stop } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { actOfDone, actsFor, deedOf, needsItsPage } from '../queens/sights'
import { SmallThread } from '../threads/SmallThread'
import { Reasons } from '../ui/Reasons'

/** One job at one box: code big, verb, a reason in one line, two big targets. */
export function StopRow({ stop, today }: { stop: Stop; today: string }) {
  const { t } = useTranslation()
  const [saw, setSaw] = useState(false)
  const { record } = useRecord()
  const reason = stop.reasons[0]

  const tapped = (word: string, deed: Deed) => void record(`${stop.code}: ${word}`, [{ deed }])

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

type OnTap = (word: string, deed: Deed) => void

function DoneTarget({ stop, onTap }: { stop: Stop; onTap: OnTap }) {
  const { t } = useTranslation()
  const big = 'act act-main min-h-14 flex-1 md:min-h-11 md:flex-none'
  if (stop.job === 'DRONE_COMB') {
    return (
      <button
        className={big}
        onClick={() => onTap(t('act.DRONE_COMB_IN'), { kind: 'DRONE_COMB_IN', hive: stop.subject })}
        aria-label={t('round.doneLabel', { code: stop.code, what: t('act.DRONE_COMB_IN') })}
      >
        {t('act.DRONE_COMB_IN')}
      </button>
    )
  }
  if (stop.subjectKind === 'HIVE') {
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
  const done = doneDeed(stop)
  if (!done) return null
  const word = done.act ? t(`act.${done.act}`) : stop.text
  return (
    <button
      className={big}
      onClick={() => onTap(word, done.deed)}
      aria-label={t('round.doneLabel', { code: stop.code, what: word })}
    >
      {done.act ? word : t('round.done')}
    </button>
  )
}

/** What one tap says: the likely sight, the cell that was given, the step that was done. */
function doneDeed(stop: Stop): { act?: string; deed: Deed } | undefined {
  if (stop.hive) {
    const deed: Deed = {
      kind: 'QUEEN_PLACED',
      queen: stop.subject,
      hive: stop.hive,
      given: 'CELL',
      besideAnother: false,
    }
    return { act: 'PLACED', deed }
  }
  const act = actOfDone(stop.job)
  if (act) {
    const deed = deedOf(act, { id: stop.subject, colour: stop.queen?.colour })
    return deed && { act, deed }
  }
  return { deed: { kind: 'GRAFT_STEP_DONE', graft: stop.subject, step: stop.job as never } }
}

function noted(stop: Stop, text: string): Deed {
  if (stop.subjectKind === 'HIVE') return { kind: 'HIVE_NOTED', hive: stop.subject, text }
  if (stop.subjectKind === 'GRAFT') return { kind: 'GRAFT_NOTED', graft: stop.subject, text }
  return { kind: 'QUEEN_NOTED', queen: stop.subject, text }
}

/** Everything else that may have been seen, and that it was not possible today. */
function Saw({ stop, onTap, close }: { stop: Stop; onTap: OnTap; close: () => void }) {
  const { t } = useTranslation()
  const [note, setNote] = useState('')
  const { queen } = stop
  const acts = queen
    ? actsFor(queen.stage).filter((act) => act !== 'MARKED' && act !== actOfDone(stop.job))
    : []
  const pick = (word: string, deed: Deed | undefined) => {
    close()
    if (deed) onTap(word, deed)
  }
  return (
    <div className="mt-3 grid grid-cols-2 gap-2 sm:flex sm:flex-wrap">
      {queen &&
        acts.map((act) => (
          <button
            key={act}
            className="act min-h-14 md:min-h-11"
            onClick={() => pick(t(`act.${act}`), deedOf(act, queen))}
          >
            {t(`act.${act}`)}
          </button>
        ))}
      <button
        className="act min-h-14 md:min-h-11"
        onClick={() =>
          pick(t('act.NOT_POSSIBLE'), {
            kind: 'NOT_POSSIBLE',
            putOff: uuidv7(),
            subjectKind: stop.subjectKind,
            subject: stop.subject,
            job: stop.job,
          })
        }
      >
        {t('act.NOT_POSSIBLE')}
      </button>
      <form
        className="col-span-2 flex w-full gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          pick(t('act.NOTED'), noted(stop, note))
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
