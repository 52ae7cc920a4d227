import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { Advised, ColonyPage } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { sayDay, saySpan } from '../time/days'
import { Reasons } from '../ui/Reasons'

/** The best few; the others fold out. */
const SHOWN = 4

/** What was chosen, and what is to be looked for since. */
export function OpenLooks({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  return (
    <section aria-labelledby="open" className="mb-6">
      <h2 id="open" className="text-xl">
        {t('colony.chosen', { what: page.chosen?.text })}
      </h2>
      <ul className="mt-1 border-t-2 border-ink">
        {page.open.map((one) => (
          <li
            key={`${one.days.earliest}${one.lookFor}`}
            className="border-b border-rule py-2"
            data-testid="follow-up"
          >
            <strong>{saySpan(one.days)}</strong> · {t('colony.lookFor', { what: one.lookFor })}
            {!one.shut && <span className="block text-sm text-ink-2">{one.ifNot}</span>}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What can be done, each with its odds; one tap chooses. */
export function Options({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const choose = (option: Advised) =>
    void record(`${page.colony.code}: ${option.text}`, [
      {
        deed: {
          kind: 'ACTION_CHOSEN',
          hive: page.colony.id,
          action: option.action,
          followUps: [],
        },
      },
    ])
  const { verdict } = page
  return (
    <section aria-labelledby="options">
      <h2 id="options" className="text-xl">
        {t('colony.options')}
      </h2>
      {verdict.decide && (
        <p>
          <strong>
            {t(verdict.decide.tooLate ? 'colony.decideNow' : 'colony.decideBy', {
              day: sayDay(verdict.decide.by),
            })}
          </strong>{' '}
          {verdict.decide.ifSo} {verdict.decide.ifNot}
        </p>
      )}
      <ul className="mt-1 border-t-2 border-ink">
        {verdict.options.slice(0, SHOWN).map((option) => (
          <OptionLine key={option.action} option={option} hive={page.colony.id} onChoose={choose} />
        ))}
      </ul>
      {verdict.options.length > SHOWN && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 underline">{t('colony.more')}</summary>
          <ul className="border-t border-rule">
            {verdict.options.slice(SHOWN).map((option) => (
              <OptionLine
                key={option.action}
                option={option}
                hive={page.colony.id}
                onChoose={choose}
              />
            ))}
          </ul>
        </details>
      )}
    </section>
  )
}

/** Advice that is a plan of its own: who with whom, by which way, under which gates. */
function planOf(action: Advised['action'], hive: string): string | undefined {
  switch (action) {
    case 'UNITE':
    case 'SHAKE_OUT':
    case 'SHAKE_OUT_FOR_A_NUC':
    case 'BREAK_UP':
      return `/splits?view=unite&one=${hive}`
    default:
      return undefined
  }
}

function OptionLine({
  option,
  hive,
  onChoose,
}: {
  option: Advised
  hive: string
  onChoose: (option: Advised) => void
}) {
  const { t } = useTranslation()
  const plan = planOf(option.action, hive)
  return (
    <li className="border-b border-rule py-2" data-testid="option" data-action={option.action}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h3 className="font-work text-lg font-bold">{option.text}</h3>
        <span>{t('colony.odds1', { odds: Math.round(option.odds * 100) })}</span>
        {option.cost >= 0.05 && (
          <span className="text-sm text-ink-2">
            {t('colony.cost', { cost: Math.round(option.cost * 100) })}
          </span>
        )}
        {option.ownSchool && <span className="text-sm">{t('colony.ownSchool')}</span>}
        {option.findFirst && (
          <Link
            className="ml-auto inline-block min-h-9 underline"
            to={`/colonies/${hive}/search?why=${option.findFirst}`}
          >
            {t('colony.findFirst')}
          </Link>
        )}
        {plan && (
          <Link
            className={`inline-block min-h-9 underline ${option.findFirst ? '' : 'ml-auto'}`}
            to={plan}
          >
            {t('colony.openPlan')}
          </Link>
        )}
        <button
          className={plan || option.findFirst ? 'act' : 'act ml-auto'}
          aria-label={t('colony.chooseLabel', { what: option.text })}
          onClick={() => onChoose(option)}
        >
          {t('colony.choose')}
        </button>
      </div>
      {option.risk && <p className="font-semibold text-crown">{option.risk}</p>}
      {option.gates.length > 0 && (
        <ul className="text-sm" aria-label={t('colony.gates')}>
          {option.gates.map((gate) => (
            <li key={gate.text}>
              {t(gate.open ? 'colony.gateOpen' : 'colony.gateShut', { gate: gate.text })}
            </li>
          ))}
        </ul>
      )}
      <div className="text-sm text-ink-2">
        <Reasons reasons={option.reasons.slice(2)}>
          {option.needs} {option.beware}
          {option.lastSensible &&
            ` ${t('colony.lastSensible', { day: sayDay(option.lastSensible) })}`}
        </Reasons>
      </div>
    </li>
  )
}
