import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { WeekAheadView } from '../api/types'
import { sayDay } from '../time/days'
import { Answer } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { sayPlaces } from './MatingYards'
import { percent } from './planned'
import { planningOddsQuery, weekQuery } from './queries'

/** What to graft and to place this week, why that many, and what it hangs on. */
export function WeekAhead({ planned }: { planned: { day: string; cups: number }[] }) {
  const { t } = useTranslation()
  const week = useQuery(weekQuery)
  const [open, setOpen] = useState(false)
  return (
    <section aria-labelledby="week" className="mb-8">
      <h2 id="week" className="text-xl">
        {t('week.title')}
      </h2>
      <Answer query={week}>
        {(page) => (
          <>
            <WeekSteps page={page} planned={planned} />
            {page.notes.map((one) => (
              <p key={one.text} className="mt-1 max-w-3xl font-semibold text-crown">
                {one.text}
              </p>
            ))}
            {page.orders.length > 0 && (
              <p className="mt-2">
                <button className="act" aria-expanded={open} onClick={() => setOpen(!open)}>
                  {t('week.orders')}
                </button>
              </p>
            )}
            {open && <Orders page={page} />}
          </>
        )}
      </Answer>
    </section>
  )
}

function Orders({ page }: { page: WeekAheadView }) {
  const { t } = useTranslation()
  const odds = useQuery(planningOddsQuery)
  const again = (demand: string) => odds.data?.find((one) => one.demand === demand)?.chance
  return (
    <ul className="mt-2 max-w-3xl" aria-busy={odds.isPending}>
      {page.orders.map((one) => {
        const chance = again(one.demand)
        return (
          <li key={one.demand} className="border-b border-rule py-1">
            <strong>{one.demand}</strong> {t(`order.what.${one.product}`, { count: one.count })},{' '}
            {sayDay(one.until)}:{' '}
            <strong>
              {chance === undefined
                ? t('week.reckoning')
                : t('week.planningAgain', { chance: percent(chance) })}
            </strong>{' '}
            {t('week.ifNothingMore', { chance: percent(one.ifNothingMore) })}{' '}
            {one.helpsUntil
              ? t('week.helpsUntil', { day: sayDay(one.helpsUntil) })
              : t('week.helpsNoMore')}
          </li>
        )
      })}
      {odds.data?.[0] && (
        <li className="py-1 text-sm text-ink-2">
          {t('week.lives', { count: odds.data[0].lives })}
        </li>
      )}
    </ul>
  )
}

/** How many queens of today go to an order, and for whom the others are kept. */
export function HandsOver({ kept }: { kept: WeekAheadView['keptBack'][number] }) {
  const { t } = useTranslation()
  return (
    <>
      <strong>
        {kept.give > 0 ? t('week.handOver', { count: kept.give }) : t('week.handOverNone')}
      </strong>{' '}
      {t('week.keepFor', {
        count: kept.there - kept.give,
        demand: kept.demand,
        others: kept.others.join(', '),
      })}
    </>
  )
}

/** The steps by day, each with its ifs. */
export function WeekSteps({
  page,
  planned = [],
}: {
  page: WeekAheadView
  /** what stands on the calendar */
  planned?: { day: string; cups: number }[]
}) {
  const { t } = useTranslation()
  const days = [
    ...new Set([...page.keptBack, ...page.grafts, ...page.placings].map((one) => one.day)),
  ].sort()
  if (days.length === 0) return <p>{t('week.nothing')}</p>
  return (
    <ol className="mt-1 max-w-3xl border-t-2 border-ink">
      {days.map((day) => (
        <li key={day} className="grid gap-x-4 border-b border-rule py-2 md:grid-cols-[9rem_1fr]">
          <strong>{sayDay(day)}</strong>
          <div>
            {page.keptBack
              .filter((one) => one.day === day)
              .map((one) => (
                <Reasons key={one.demand} reasons={one.reasons}>
                  <HandsOver kept={one} />
                </Reasons>
              ))}
            {page.grafts
              .filter((one) => one.day === day)
              .map((one) => (
                <div key={one.kind + (one.line ?? '')} className="mb-1">
                  <Reasons reasons={one.reasons}>
                    <strong>{t('week.graft', { count: one.cups })}</strong>{' '}
                    {t(`week.for.${one.kind}`)}
                    {one.line && `, ${one.line}`}
                  </Reasons>
                  {one.ifs.length > 1 && (
                    <p className="text-sm">
                      {one.ifs
                        .map((then) =>
                          t(then.cups > 0 ? 'week.if' : 'week.ifNone', {
                            takes: then.takes,
                            count: then.cups,
                          }),
                        )
                        .join(' · ')}
                    </p>
                  )}
                </div>
              ))}
            {planned.some((one) => one.day === day) && (
              <p className="text-sm text-ink-2">
                {t('week.planned', {
                  count: planned
                    .filter((one) => one.day === day)
                    .reduce((sum, one) => sum + one.cups, 0),
                })}
              </p>
            )}
            {page.placings
              .filter((one) => one.day === day)
              .map((one) => (
                <div key={one.batch}>
                  <Reasons reasons={one.reasons}>
                    <strong>{t('week.place', { count: one.place })}</strong>{' '}
                    {t('week.ofRipe', { ripe: one.ripe, batch: one.batch })}
                  </Reasons>
                  {one.at.length > 0 && <p>{t('week.placeAt', { where: sayPlaces(one.at) })}</p>}
                  {one.over > 0 && (
                    <p className="font-semibold text-crown">
                      {t('week.over', { count: one.over })}
                    </p>
                  )}
                </div>
              ))}
          </div>
        </li>
      ))}
    </ol>
  )
}
