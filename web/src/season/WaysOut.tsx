import { useTranslation } from 'react-i18next'
import type { SeasonPlan } from '../api/types'

type WayOut = SeasonPlan['waysOut'][number]

/** What helps several first, then order by order what helps that one alone. */
export function byWhomTheyHelp(ways: WayOut[]): { whom: string; ways: WayOut[] }[] {
  const groups = new Map<string, WayOut[]>()
  for (const way of ways.toSorted((one, two) => two.helps.length - one.helps.length)) {
    const whom = way.helps.join(', ')
    groups.set(whom, [...(groups.get(whom) ?? []), way])
  }
  return [...groups].map(([whom, some]) => ({ whom, ways: some }))
}

/** Each was tried: whom it helps, whom it costs. */
export function WaysOut({ ways }: { ways: WayOut[] }) {
  const { t } = useTranslation()
  if (ways.length === 0) return null
  return (
    <section aria-label={t('season.waysOut')} data-testid="ways-out">
      <h4 className="mt-2 font-work font-bold">{t('season.waysOut')}</h4>
      <dl>
        {byWhomTheyHelp(ways).map((group) => (
          <div key={group.whom} className="border-b border-rule py-1">
            <dt className="font-semibold">{t('season.helps', { whom: group.whom })}</dt>
            {group.ways.map((way) => (
              <dd key={way.text} className={`pl-4 ${way.loses.length > 0 ? 'text-crown' : ''}`}>
                {way.text}
              </dd>
            ))}
          </div>
        ))}
      </dl>
    </section>
  )
}
