import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { RequeeningLine } from '../api/types'
import { sayDay, saySpan } from '../time/days'
import { ChoiceField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { yardsQuery } from '../yards/queries'
import { sayMerit } from './merit'
import { requeeningQuery } from './queries'

const POLICIES = ['EVERY_YEAR', 'AT_TWO_YEARS', 'BY_MERIT'] as const
const ACTIONS = ['NOW', 'AFTER_FLOW', 'WATCH', 'JUDGE_FIRST', 'STOP', 'KEEP'] as const

/** Which colonies get another queen, when, and why; how many queens that wants. */
export function RequeeningList({
  search,
  set,
}: {
  search: URLSearchParams
  set: (part: Record<string, string>) => void
}) {
  const { t } = useTranslation()
  const yards = useQuery(yardsQuery).data ?? []
  const yard = search.get('yard') ?? ''
  const policy = POLICIES.find((one) => one === search.get('policy'))
  const query = useQuery(requeeningQuery({ ...(yard && { yard }), ...(policy && { policy }) }))
  return (
    <Answer query={query}>
      {(page) => (
        <>
          <div className="mb-3 grid max-w-xl grid-cols-2 items-end gap-3">
            <ChoiceField
              name={t('requeening.policy')}
              value={page.policy}
              choices={POLICIES}
              say={(one) => t(`requeening.policies.${one}`)}
              onChange={(one) => set({ policy: one })}
            />
            <ChoiceField
              name={t('queenList.yard')}
              value={yard}
              choices={['', ...yards.map((one) => one.id)]}
              say={(id) => yards.find((one) => one.id === id)?.name ?? t('queenList.any')}
              onChange={(one) => set({ yard: one })}
            />
          </div>
          <p className="font-read text-2xl font-bold" data-testid="answer">
            {t('requeening.answer', {
              count: page.toChange,
              spares: page.spares,
              hand: page.atHand,
            })}
          </p>
          {page.wanted > page.atHand && (
            <p className="mt-1">
              <Link
                className="act inline-flex items-center"
                to={`/orders?own=${page.wanted - page.atHand}&for=${encodeURIComponent(t('requeening.ownNeed'))}`}
              >
                {t('requeening.order', { count: page.wanted - page.atHand })}
              </Link>
            </p>
          )}
          {ACTIONS.map((action) => {
            const those = page.colonies.filter((one) => one.requeening.action === action)
            return (
              those.length > 0 && (
                <section key={action} className="mt-4" aria-labelledby={`act-${action}`}>
                  <h2 id={`act-${action}`} className="border-b-2 border-ink text-xl">
                    {those[0]?.requeening.text} · {those.length}
                  </h2>
                  <ul>
                    {those.map((one) => (
                      <Line key={one.hive} one={one} />
                    ))}
                  </ul>
                </section>
              )
            )
          })}
        </>
      )}
    </Answer>
  )
}

function Line({ one }: { one: RequeeningLine }) {
  const { t } = useTranslation()
  const { requeening } = one
  const changes = requeening.action === 'NOW' || requeening.action === 'AFTER_FLOW'
  return (
    <li className="border-b border-rule py-2">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <Link
          className="inline-block min-h-6 w-16 font-bold underline"
          to={`/colonies/${one.hive}`}
        >
          {one.code}
        </Link>
        {one.queen && (
          <Link className="inline-block min-h-6 underline" to={`/queens/${one.queen}`}>
            {one.queenCode}
          </Link>
        )}
        <span>{one.ageText}</span>
        {one.merit !== undefined && (
          <span className="text-ink-2">{sayMerit(t, one.merit, one.reliability)}</span>
        )}
        {changes && (
          <Link className="act ml-auto" to={`/introductions?view=give&hive=${one.hive}`}>
            {t('requeening.give', { hive: one.code })}
          </Link>
        )}
      </div>
      <Reasons reasons={requeening.reasons}>
        <span>{requeening.reasons.map((reason) => reason.text).join(' ')}</span>
      </Reasons>
      {requeening.by && (
        <p className="text-sm">{t('requeening.by', { day: sayDay(requeening.by) })}</p>
      )}
      {requeening.temper && (
        <p className="text-sm">
          {t('requeening.temperTurns', {
            first: saySpan(requeening.temper.firstDaughters),
            all: saySpan(requeening.temper.all),
          })}
        </p>
      )}
      {requeening.swarm && requeening.swarm.chance.likely >= 0.1 && (
        <details className="text-sm">
          <summary className="inline-block min-h-6 text-ink-2 underline decoration-dotted underline-offset-4">
            {t('requeening.swarms', { odds: Math.round(requeening.swarm.chance.likely * 10) })}
          </summary>
          <ul className="border-l-2 border-rule pl-3">
            {[
              ...requeening.swarm.reasons.map((reason) => reason.text),
              ...requeening.swarm.measures,
            ].map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </details>
      )}
    </li>
  )
}
