import { useTranslation } from 'react-i18next'
import type { ColonyPage, SwarmPlan } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { sayDay, saySpan } from '../time/days'

const SCHOOLS = [
  'DESTROY_AND_RETURN',
  'LEAVE_ONE_NOW',
  'REMOVE_AND_REPEAT',
  'BEFORE_CELLS',
] as const

/** The plan for swarm cells: steps with their days and gates. A tick is recorded, and the round follows it. */
export function SwarmSteps({
  colony,
  plan,
  onSchool,
}: {
  colony: ColonyPage['colony']
  plan: SwarmPlan
  onSchool: (school: SwarmPlan['school']) => void
}) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const tick = (step: SwarmPlan['steps'][number]) =>
    void record(`${colony.code}: ${step.text}`, [
      {
        deed: {
          kind: 'SWARM_STEP_DONE',
          hive: colony.id,
          step: step.step,
          school: plan.school,
        },
      },
    ])
  return (
    <section aria-labelledby="swarm" className="mb-6">
      <h2 id="swarm" className="text-xl first-letter:uppercase">
        {plan.rungText}
      </h2>
      <div className="mt-1 flex flex-wrap items-end gap-x-6 gap-y-1">
        {plan.begun && <p>{t('swarm.begun', { day: sayDay(plan.begun) })}</p>}
        {plan.departs && !plan.begun && (
          <p>
            {t('swarm.departs')} <strong className="text-crown">{saySpan(plan.departs)}</strong>
          </p>
        )}
        {plan.returnVisit && (
          <p>
            {t('swarm.return')} <strong>{saySpan(plan.returnVisit)}</strong>
          </p>
        )}
        <label className="ml-auto">
          <span className="block text-sm text-ink-2">{t('swarm.school')}</span>
          <select
            className="field"
            disabled={plan.begun !== undefined}
            value={plan.school}
            onChange={(event) => onSchool(event.target.value as SwarmPlan['school'])}
          >
            {SCHOOLS.map((school) => (
              <option key={school} value={school}>
                {t(`swarm.schools.${school}`)}
              </option>
            ))}
          </select>
        </label>
      </div>
      {plan.shutUntil && (
        <p className="mt-1 font-semibold">{t('swarm.shut', { day: sayDay(plan.shutUntil) })}</p>
      )}
      <ol className="mt-2 border-t-2 border-ink">
        {plan.steps.map((step, index) => (
          <li
            key={`${step.step}${index}`}
            className="grid gap-x-4 border-b border-rule py-2 sm:grid-cols-[10rem_minmax(0,1fr)]"
          >
            <label className="flex min-h-10 items-start gap-2">
              <input
                type="checkbox"
                className="mt-1 size-5"
                checked={step.done !== undefined}
                disabled={!step.opens || step.done !== undefined}
                aria-label={t('swarm.tick', { step: step.text })}
                onChange={() => tick(step)}
              />
              <strong>{saySpan(step.when)}</strong>
            </label>
            <span>
              <strong>{step.text}</strong>
              {step.done && ` · ${t('swarm.doneOn', { day: sayDay(step.done) })}`}
              {step.gate !== 'NONE' && !step.done && (
                <span className="font-semibold text-crown"> · {t(`swarm.gate.${step.gate}`)}</span>
              )}
              <span className="block text-sm text-ink-2">
                {step.reasons.map((reason) => reason.text).join(' ')}
              </span>
            </span>
          </li>
        ))}
      </ol>
      <ul className="mt-2">
        {plan.warnings.map((warning) => (
          <li key={warning.text} className="font-semibold text-crown">
            {warning.text}
          </li>
        ))}
      </ul>
      {plan.materials.length > 0 && (
        <p className="mt-1 text-sm text-ink-2">
          {t('swarm.carry', { what: plan.materials.join('; ') })}
        </p>
      )}
    </section>
  )
}
