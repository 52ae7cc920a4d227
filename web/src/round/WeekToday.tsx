import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { sayPlaces } from '../season/MatingYards'
import { weekQuery } from '../season/queries'
import { HandsOver } from '../season/WeekAhead'
import { useSession } from '../session/queries'
import { sayDay } from '../time/days'

/** What the week ahead wants grafted and placed, today first. */
export function WeekToday() {
  const { t } = useTranslation()
  const owner = useSession().role === 'OWNER'
  const week = useQuery({ ...weekQuery, enabled: owner }).data
  if (!week || week.keptBack.length + week.grafts.length + week.placings.length === 0) return null
  return (
    <section aria-labelledby="week-today">
      <h2 id="week-today" className="font-work text-sm font-normal text-ink-2">
        {t('week.title')}
      </h2>
      <ul className="space-y-2 text-sm">
        {week.keptBack.map((one) => (
          <li key={one.demand}>
            {sayDay(one.day)}: <HandsOver kept={one} />
          </li>
        ))}
        {week.placings.map((one) => (
          <li key={one.batch}>
            {sayDay(one.day)}: <strong>{t('week.place', { count: one.place })}</strong>{' '}
            {t('week.ofRipe', { ripe: one.ripe, batch: one.batch })}
            {one.at.length > 0 && <> {t('week.placeAt', { where: sayPlaces(one.at) })}</>}
          </li>
        ))}
        {week.grafts.map((one) => (
          <li key={one.day + one.kind + (one.line ?? '')}>
            {sayDay(one.day)}: <strong>{t('week.graft', { count: one.cups })}</strong>{' '}
            {t(`week.for.${one.kind}`)}
            {one.line && `, ${one.line}`}
          </li>
        ))}
      </ul>
      <Link className="inline-block min-h-6 text-sm underline" to="/season">
        {t('week.why')}
      </Link>
    </section>
  )
}
