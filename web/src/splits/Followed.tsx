import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { sayDay } from '../time/days'
import { makingsQuery } from './queries'

/** Splits that were taken to the yard and are followed. */
export function Followed() {
  const { t } = useTranslation()
  const all = useQuery(makingsQuery).data ?? []
  if (all.length === 0) return null
  return (
    <section aria-labelledby="followed" className="no-print mb-4">
      <h2 id="followed" className="font-work text-sm font-normal text-ink-2">
        {t('splits.followed')}
      </h2>
      <ul>
        {all.map((one) => (
          <li key={one.id}>
            <Link
              className="inline-block min-h-9 font-semibold underline"
              to={`/splits/making/${one.id}`}
            >
              {sayDay(one.day)} · {one.recipeText}
            </Link>{' '}
            <span className="text-ink-2">
              {one.units.join(', ')} · {t(one.made ? 'making.made' : 'splits.toMake')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
