import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { percent } from '../season/planned'
import { seasonQuery } from '../season/queries'
import { useSession } from '../session/queries'
import { sayDay } from '../time/days'

/** Promises that do not hold as things stand, weeks before they fall due. */
export function PromisesAtRisk() {
  const { t } = useTranslation()
  // the owner answers for promises; the crew's round is not kept waiting for them
  const owner = useSession().role === 'OWNER'
  const season = useQuery({ ...seasonQuery, enabled: owner })
  const risky = season.data?.standings.filter((one) => one.state !== 'HOLDS') ?? []
  if (risky.length === 0) return null
  return (
    <section aria-labelledby="promises">
      <h2 id="promises" className="font-work text-sm font-normal text-ink-2">
        {t('round.promises')}
      </h2>
      <ul className="space-y-2 text-sm">
        {risky.map((one) => (
          <li key={one.demand}>
            <Link className="inline-block min-h-6 underline" to="/season">
              {one.demand}
            </Link>{' '}
            {t(`order.what.${one.product}`, { count: one.count })}, {sayDay(one.until)}:{' '}
            <strong className="text-crown">{percent(one.chance)}</strong>
          </li>
        ))}
      </ul>
    </section>
  )
}
