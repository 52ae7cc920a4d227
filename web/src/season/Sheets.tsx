import { useSay } from '../units/useSay'
import { useTranslation } from 'react-i18next'
import type { Reason, SeasonPage, StepRates } from '../api/types'
import { sayDay, saySpan, shortDay } from '../time/days'
import { percent } from './planned'

/** Drones for the planned grafts: comb in, flights, how many colonies. */
export function Drones({
  drones,
  combs,
}: {
  drones: SeasonPage['drones']
  combs: SeasonPage['droneCombs']
}) {
  const { t } = useTranslation()
  if (drones.length === 0 && combs.length === 0) return null
  return (
    <section aria-labelledby="drones" className="mt-8">
      <h2 id="drones" className="text-xl">
        {t('season.droneComb')}
      </h2>
      {combs.length > 0 && (
        <ul aria-label={t('season.droneStarts')}>
          {combs.map((one) => (
            <li key={one.colony} className="font-semibold">
              {t('season.droneStart', { colony: one.code, days: saySpan(one.days) })}
            </li>
          ))}
        </ul>
      )}
      <ul className="mt-1 border-t-2 border-ink">
        {drones.map((one) => (
          <li key={`${one.graft}${one.breeder}`} className="border-b border-rule py-2">
            <span className="flex flex-wrap gap-x-6">
              <strong className="w-40">
                {t('season.graftOf', { day: shortDay(one.graft), mother: one.breeder })}
              </strong>
              <span>{t('season.combIn', { days: saySpan(one.comb) })}</span>
              <span>
                {t('season.flights', { days: saySpan(one.flights), virgins: one.virgins })}
              </span>
              <span>
                {t('season.droneColonies', {
                  wanted: one.coloniesWanted,
                  ready: one.coloniesReady,
                })}
              </span>
            </span>
            {one.warnings.map((warning) => (
              <span key={warning.text} className="block font-semibold text-crown">
                {warning.text}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What the plan uses up: all of it, and by week. */
export function ShoppingList({ shopping }: { shopping: SeasonPage['shopping'] }) {
  const { t } = useTranslation()
  const say = useSay()
  const measured = (what: string, count: number) =>
    what.endsWith('_DECILITRES')
      ? say.volume(Math.ceil(count / 10))
      : what.endsWith('_GRAMS')
        ? say.weight(Math.ceil(count / 1000))
        : String(count)
  const amounts = (items: Record<string, number>) =>
    Object.entries(items)
      .map(([what, count]) =>
        t(`season.material.${what}`, { count, amount: measured(what, count) }),
      )
      .join(', ')
  if (shopping.weeks.length === 0) return null
  return (
    <section aria-labelledby="shopping" className="mt-8">
      <h2 id="shopping" className="text-xl">
        {t('season.shopping')}
      </h2>
      <p className="mt-1 font-semibold">{amounts(shopping.all)}</p>
      <details className="mt-1">
        <summary className="min-h-8">{t('season.byWeek')}</summary>
        <ul>
          {shopping.weeks.map((week) => (
            <li key={week.monday} className="flex flex-wrap gap-x-4 border-b border-rule py-1">
              <strong className="w-36">{t('season.weekOf', { day: sayDay(week.monday) })}</strong>
              <span className="min-w-0 flex-1">{amounts(week.items)}</span>
            </li>
          ))}
        </ul>
      </details>
    </section>
  )
}

/** What the odds rest on: each step's share, by whatever tells batches apart. */
export function RatesTable({ rates, weakest }: { rates: StepRates[]; weakest: Reason[] }) {
  const { t } = useTranslation()
  return (
    <section aria-labelledby="odds" className="mt-8">
      <h2 id="odds" className="text-xl">
        {t('season.rates')}
      </h2>
      <p>
        {t('season.forty', {
          how: weakest
            .slice(-2)
            .map((one) => one.text)
            .join(' '),
        })}
      </p>
      <p className="text-sm text-ink-2">{t('season.ratesHow')}</p>
      <ul className="mt-1 border-t-2 border-ink">
        {rates.map((rate) => (
          <li key={rate.step} className="border-b border-rule py-2">
            <details>
              <summary className="min-h-8">
                {t(`rates.${rate.step}`)} <strong>{percent(rate.all.mean)}</strong>{' '}
                <span className="text-sm text-ink-2">
                  {t('season.between', {
                    low: percent(rate.all.low),
                    high: percent(rate.all.high),
                    count: rate.all.tried,
                    worst: percent(rate.oneGraft.low),
                    best: percent(rate.oneGraft.high),
                  })}
                </span>
              </summary>
              {Object.entries(rate.by).map(([grouping, lines]) => (
                <p key={grouping} className="ml-4">
                  <span className="text-ink-2">{t(`season.grouping.${grouping}`)}: </span>
                  {lines
                    .map(
                      (line) =>
                        `${t(`season.group.${line.group}`, line.group)} ${percent(line.mean)} (${line.tried})`,
                    )
                    .join(' · ') || '–'}
                </p>
              ))}
            </details>
          </li>
        ))}
      </ul>
    </section>
  )
}
