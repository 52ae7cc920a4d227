import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { v7 as uuidv7 } from 'uuid'
import type { Deed, Stop } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { expectedAt } from './expected'
import { actOfDone, actsFor, deedOf, needsItsPage } from '../queens/sights'
import { SmallThread } from '../threads/SmallThread'
import { Reasons } from '../ui/Reasons'

/** One job at one box, unfolded: why, her thread, and everything that may have been seen. */
export function StopRow({ stop, today }: { stop: Stop; today: string }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const reason = stop.reasons[0]

  const tapped = (word: string, deed: Deed) => void record(`${stop.code}: ${word}`, [{ deed }])

  return (
    <div
      className="mt-3 border-l-4 border-ink py-1 pl-3"
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
          <h4
            className={`hidden font-work text-lg font-bold md:block ${stop.overdue ? 'text-crown' : ''}`}
          >
            {stop.text}
          </h4>
          <div className="text-sm text-ink-2">
            <Reasons reasons={stop.reasons} said={reason?.text}>
              {stop.overdue && <strong className="text-crown">{t('round.overdue')} </strong>}
              {reason?.text}
            </Reasons>
          </div>
        </div>
        <div className="hidden md:block">
          {stop.queen && <SmallThread thread={stop.queen.thread} today={today} />}
        </div>
        <div className="flex gap-3">
          <DoneTarget stop={stop} onTap={tapped} />
        </div>
      </div>
      <Saw stop={stop} onTap={tapped} />
    </div>
  )
}

type OnTap = (word: string, deed: Deed) => void

export function DoneTarget({ stop, onTap }: { stop: Stop; onTap: OnTap }) {
  const { t } = useTranslation()
  const big = 'act act-main min-h-14 md:min-h-11'
  const done = expectedAt(stop)
  if (stop.split || stop.introduction) {
    return (
      <Link
        to={stop.split ? `/splits/making/${stop.split}` : `/introductions/${stop.introduction}`}
        className={`${big} inline-flex items-center justify-center`}
        aria-label={t('round.openLabel', { code: stop.code, job: stop.text })}
      >
        {t('round.open')}
      </Link>
    )
  }
  if (!done && stop.subjectKind === 'HIVE') {
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

function noted(stop: Stop, text: string): Deed {
  if (stop.subjectKind === 'HIVE') return { kind: 'HIVE_NOTED', hive: stop.subject, text }
  if (stop.subjectKind === 'GRAFT') return { kind: 'GRAFT_NOTED', graft: stop.subject, text }
  return { kind: 'QUEEN_NOTED', queen: stop.subject, text }
}

/** Everything else that may have been seen, and that it was not possible today. */
function Saw({ stop, onTap }: { stop: Stop; onTap: OnTap }) {
  const { t } = useTranslation()
  const [note, setNote] = useState('')
  const { queen } = stop
  const acts = queen
    ? actsFor(queen.stage).filter((act) => act !== 'MARKED' && act !== actOfDone(stop.job))
    : []
  const pick = (word: string, deed: Deed | undefined) => {
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
      {stop.subjectKind !== 'SPLIT' && stop.subjectKind !== 'INTRODUCTION' && (
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
      )}
    </div>
  )
}
