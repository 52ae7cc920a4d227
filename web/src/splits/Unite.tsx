import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import type { UnitePage } from '../api/types'
import { NumberField, TickField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { Looks, Objections, Steps, TakeWayAlong } from './Boost'
import { Course } from './Course'
import { HiveChoice } from './HiveChoice'
import { uniteQuery } from './queries'
import { ReckonedLine } from './ReckonedLine'

/** How two hives become one: no step puts the better queen at risk. */
export function Unite({
  search,
  set,
}: {
  search: URLSearchParams
  set: (key: string, value: string) => void
}) {
  const { t } = useTranslation()
  const said = (key: string) => search.get(key) ?? ''
  const tick = (key: string, name: string) => (
    <TickField
      name={name}
      value={said(key) === 'yes'}
      onChange={(on) => set(key, on ? 'yes' : '')}
    />
  )
  const page = useQuery(
    uniteQuery({
      one: said('one'),
      other: said('other'),
      ...(said('metres') ? { metres: Number(said('metres')) } : {}),
      found: said('found') === 'yes',
      melt: said('melt') === 'yes',
      rain: said('rain') === 'yes',
    }),
  )
  return (
    <>
      <div className="no-print grid grid-cols-2 gap-x-4 gap-y-2 md:grid-cols-5">
        <HiveChoice name={t('splits.one')} value={said('one')} onChange={(id) => set('one', id)} />
        <HiveChoice
          name={t('splits.other')}
          value={said('other')}
          onChange={(id) => set('other', id)}
        />
        <NumberField
          name={t('splits.metres')}
          value={said('metres') ? Number(said('metres')) : undefined}
          min={0}
          max={100_000}
          onChange={(next) => set('metres', next === undefined ? '' : String(next))}
        />
        {tick('found', t('splits.queenFound'))}
        {tick('melt', t('splits.melt'))}
        {tick('rain', t('splits.rain'))}
      </div>
      {said('one') && said('other') && (
        <Answer query={page}>{(found) => <Found page={found} />}</Answer>
      )}
    </>
  )
}

function Found({ page }: { page: UnitePage }) {
  const { t } = useTranslation()
  const { plan } = page
  return (
    <div className="mt-4">
      <p className="font-read text-2xl font-bold" data-testid="answer">
        {plan.keeps
          ? t('splits.keepsQueen', { keeps: plan.keeps, gives: plan.gives })
          : t('splits.notUnited')}
      </p>
      <ReckonedLine about={page.with} />
      <p className="text-sm text-ink-2">{t('splits.celsius', { celsius: page.celsius })}</p>
      <p>{plan.because.join(' ')}</p>
      <Objections all={plan.objections} />
      {plan.ways.map((way) => (
        <section key={way.how} aria-labelledby={way.how} className="mt-5">
          <h2 id={way.how} className="text-xl">
            {t(`splits.unite.${way.how}`)}{' '}
            <span className="font-work text-base font-normal text-ink-2">
              {t('splits.queenSafe', { percent: Math.round(way.queenSafe * 100) })}
            </span>
          </h2>
          {!way.mayBeDone && (
            <ul className="font-semibold text-crown">
              {way.wants.map((want) => (
                <li key={want}>{want}</li>
              ))}
            </ul>
          )}
          <TakeWayAlong page={page} way={way.how} name={t(`splits.unite.${way.how}`)} />
          <details open={way.mayBeDone}>
            <summary className="inline-block min-h-6 underline decoration-dotted underline-offset-4">
              {t('splits.howDone')}
            </summary>
            <Steps steps={way.steps} />
            <p className="mt-1 text-ink-2">{way.done.join(' ')}</p>
            <Looks looks={way.looks} />
          </details>
        </section>
      ))}
      <p className="mt-4">{plan.combs.join(' ')}</p>
      {plan.united && plan.alone && (
        <Course withSplit={[plan.united]} without={[plan.alone]} says="splits.courseUnited" />
      )}
    </div>
  )
}
