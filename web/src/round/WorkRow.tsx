import { useTranslation } from 'react-i18next'
import type { Deed, Stop } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { expectedOfAll } from './expected'
import { DoneTarget, StopRow } from './StopRow'
import { boxOf, rowName, sharedStart, type Work } from './work'

/**
 * One kind of work along a yard: each box a small target, all as expected in one tap. What was otherwise is tapped at its
 * box first; it leaves the row, and the tap for all says nothing of it.
 */
export function WorkRow(props: {
  work: Work
  today: string
  /** subject and job of the box that is unfolded */
  open: string
  onOpen: (box: string) => void
}) {
  const { work, today, open } = props
  const { t } = useTranslation()
  const { record } = useRecord()
  const { stops } = work
  const only = stops.length === 1 ? stops[0] : undefined
  const tapped = (said: string, deed: Deed) => void record(`${only?.code}: ${said}`, [{ deed }])
  const late = stops.filter((stop) => stop.overdue).length
  const all = expectedOfAll(stops)
  const unfolded = stops.find((stop) => boxOf(stop) === open)
  const word = all?.[0]?.act ? t(`act.${all[0].act}`) : t('round.done')
  const boxes = (
    <ul
      className={
        stops.length === 1 ? '' : 'mt-1 grid grid-cols-7 gap-1 md:flex md:flex-wrap md:gap-2'
      }
    >
      {stops.map((stop) => (
        <li key={stop.subject}>
          <Box
            stop={stop}
            name={stop.code.slice(stops.length > 3 ? sharedStart(stops) : 0)}
            open={boxOf(stop) === open}
            onTap={() => props.onOpen(boxOf(stop) === open ? '' : boxOf(stop))}
          />
        </li>
      ))}
    </ul>
  )
  return (
    <li className="border-b border-rule py-0.5 md:py-3" data-testid="work" data-job={work.job}>
      <div className="flex items-center gap-x-3">
        {stops.length === 1 && boxes}
        <h3 className="min-w-0 flex-1 font-work text-lg leading-6 font-bold">
          {work.text}{' '}
          {stops.length > 3 && (
            <span className="text-base font-normal text-ink-2">
              {rowName(stops)} · {stops.length}
            </span>
          )}{' '}
          {late > 0 && (
            <strong className="text-base text-crown">
              {late === stops.length ? t('round.overdue') : t('round.lateOf', { count: late })}
            </strong>
          )}
        </h3>
        {only && !unfolded && <DoneTarget stop={only} onTap={tapped} />}
        {all && (
          <button
            className="act act-main min-h-14 shrink-0 md:min-h-11"
            onClick={() =>
              void record(
                `${rowName(stops)}: ${word}`,
                all.map((one) => ({ deed: one.deed })),
              )
            }
          >
            {t('round.all', { word, count: stops.length })}
          </button>
        )}
      </div>
      {stops.length > 1 && boxes}
      {unfolded && <StopRow key={unfolded.subject} stop={unfolded} today={today} />}
    </li>
  )
}

function Box(props: { stop: Stop; name: string; open: boolean; onTap: () => void }) {
  const { stop, open } = props
  const { t } = useTranslation()
  return (
    <button
      className={`min-h-11 w-full min-w-11 rounded border px-1 font-bold whitespace-nowrap md:min-h-9 md:px-2 ${
        open
          ? 'border-ink bg-ink text-paper'
          : stop.overdue
            ? 'border-crown text-crown'
            : 'border-ink-2'
      }`}
      data-testid="box"
      data-job={stop.job}
      data-code={stop.code}
      aria-expanded={open}
      aria-label={t(stop.overdue ? 'round.boxLateLabel' : 'round.boxLabel', {
        code: stop.code,
        job: stop.text,
      })}
      onClick={props.onTap}
    >
      {props.name}
    </button>
  )
}
