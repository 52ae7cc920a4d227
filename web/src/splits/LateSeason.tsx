import { useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { LateSeasonPage } from '../api/types'
import { sayDay } from '../time/days'
import { Answer } from '../ui/Page'
import { lateQuery } from './queries'
import { ReckonedLine } from './ReckonedLine'
import { Unread } from './Unread'

/** Each unit before winter: its best use, and the day by which to decide. */
export function LateSeason({
  yard,
  queens,
  where,
}: {
  yard: string
  queens: number
  where: ReactNode
}) {
  const page = useQuery(lateQuery(queens, yard))
  return (
    <>
      <div className="no-print grid grid-cols-2 gap-x-4 gap-y-2 md:grid-cols-5">{where}</div>
      <Answer query={page}>{(found) => <Found page={found} />}</Answer>
    </>
  )
}

function Found({ page }: { page: LateSeasonPage }) {
  const { t } = useTranslation()
  const { plan } = page
  const given = plan.fates.filter((fate) => fate.use !== 'LEAVE' && fate.use !== 'FEED')
  const idOf = (code: string) => page.units.find((line) => line.code === code)?.id
  const planFor = (fate: (typeof plan.fates)[number]) => {
    const id = idOf(fate.code)
    if (id && fate.use === 'BOOST') return `/splits?view=boost&unit=${id}`
    if (id && (fate.use === 'UNITE' || fate.use === 'OVER_A_NEIGHBOUR' || fate.use === 'SHAKE_OUT'))
      return `/splits?view=unite&one=${id}&other=${idOf(fate.into ?? '') ?? ''}`
    return undefined
  }
  return (
    <div className="mt-4">
      <p className="font-read text-2xl font-bold" data-testid="answer">
        {t('splits.lateAnswer', {
          doubtful: given.length,
          all: plan.fates.length,
          day: sayDay(plan.lastWarmDay),
        })}
      </p>
      <ReckonedLine about={page.with} />
      <p className="mt-1">{plan.splits.text}</p>
      <ul className="mt-3">
        {plan.fates.map((fate) => (
          <li
            key={fate.code}
            className="grid grid-cols-[4rem_13rem_minmax(0,1fr)] gap-x-3 border-b border-rule py-2"
          >
            <strong>
              {idOf(fate.code) ? (
                <Link className="underline" to={`/colonies/${idOf(fate.code)}`}>
                  {fate.code}
                </Link>
              ) : (
                fate.code
              )}
            </strong>
            <span>
              {t('splits.by', { day: sayDay(fate.decideBy) })}
              <br />
              <span className="text-sm text-ink-2">
                {t('splits.winters', {
                  least: fate.winter.framesOfBees.least,
                  most: fate.winter.framesOfBees.most,
                })}
              </span>
            </span>
            <span>
              <strong>{t(`splits.use.${fate.use}`)}</strong> {fate.text}{' '}
              {planFor(fate) && (
                <Link className="inline-block min-h-6 underline" to={planFor(fate) ?? ''}>
                  {t('colony.openPlan')}
                </Link>
              )}{' '}
              {fate.comesThrough > 0 && (
                <span className="text-ink-2">
                  {t('splits.comesThrough', { percent: Math.round(fate.comesThrough * 100) })}
                </span>
              )}
            </span>
          </li>
        ))}
      </ul>
      <Unread lines={page.units} />
    </div>
  )
}
