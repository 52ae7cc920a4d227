import { useTranslation } from 'react-i18next'
import type { Calendar } from '../api/types'
import { sayDay, saySpan } from '../time/days'
import { Reasons } from '../ui/Reasons'

/** The dated steps of a graft, hands-off days visibly closed, each with its why. */
export function CalendarList({
  calendar,
  done,
  today,
}: {
  calendar: Calendar
  done: string[]
  today: string
}) {
  const { t } = useTranslation()
  return (
    <>
      {calendar.cautions.map((caution) => (
        <p key={caution.text} className="mb-2 font-semibold text-crown">
          {caution.text}
        </p>
      ))}
      <ol className="text-[0.95rem]">
        {calendar.steps.map((step) => (
          <li
            key={step.kind}
            className={`grid grid-cols-[8.5rem_1fr] gap-x-3 border-b border-rule py-1 ${step.handsOff ? 'closed' : ''} ${
              step.when.latest < today ? 'text-ink-2' : ''
            }`}
          >
            <span className="tabular-nums">
              {step.when.earliest === step.when.latest
                ? sayDay(step.when.earliest)
                : saySpan(step.when)}
            </span>
            <div>
              <Reasons reasons={step.reasons}>
                <span className={step.work ? 'font-bold' : ''}>{step.name}</span>
                {done.includes(step.kind) && (
                  <span className="text-ink-2"> · {t('grafts.stepDone')}</span>
                )}
              </Reasons>
            </div>
          </li>
        ))}
      </ol>
    </>
  )
}
