import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { COMB_HEIGHT, COMB_WIDTH, CombBar } from '../colonies/CombBar'
import { Due } from './Due'
import type { Doing } from './hive'
import type { Outcome, Scored } from './queries'

/** What a search was worth, against the exact odds and the best that could have been done. */
export function SearchResult({
  doing,
  outcome,
  scored,
}: {
  doing: Doing
  outcome: Outcome
  scored: Scored
}) {
  const { t } = useTranslation()
  const [nth, setNth] = useState(() => {
    const worst = Math.max(...scored.steps.map((step) => step.lost))
    return Math.max(
      0,
      scored.steps.findIndex((step) => step.lost === worst),
    )
  })
  const step = scored.steps[nth]
  const { hive } = doing.exercise
  return (
    <div data-testid="outcome">
      <p className="max-w-4xl font-read text-2xl" role="status">
        <strong>
          {t(outcome.right ? 'train.result.found' : 'train.result.notFound', {
            count: scored.lifts,
          })}
        </strong>{' '}
        {t('train.result.points', { points: scored.points })}
      </p>
      <p className="mt-1 max-w-4xl">
        {scored.guide === undefined
          ? t('train.result.guideNot')
          : t('train.result.guide', { count: scored.guide })}{' '}
        {doing.beside > 0 && t('train.result.beside', { count: doing.beside })} {outcome.why}
      </p>
      <p className="mt-1 text-sm text-ink-2">
        <Due day={outcome.due} />
      </p>
      <div className="mt-4 grid gap-6 lg:grid-cols-2">
        <ol className="border-t border-rule" aria-label={t('train.result.steps')}>
          {scored.steps.map((one, index) => (
            <li key={index} className="border-b border-rule">
              <button
                className={`w-full px-2 py-2 text-left ${index === nth ? 'bg-sun' : ''}`}
                aria-pressed={index === nth}
                onClick={() => setNth(index)}
              >
                <span className="flex justify-between gap-3">
                  <strong>
                    {index + 1}{' '}
                    {one.place.kind !== 'COMB'
                      ? one.name
                      : hive && hive.boxes.length > 1
                        ? t('train.result.placeInBox', { slot: one.place.slot, box: one.place.box })
                        : t('train.result.place', { slot: one.place.slot })}
                  </strong>
                  <span>{t('train.result.chance', { percent: Math.round(100 * one.chance) })}</span>
                </span>
                <span className="block text-sm">
                  {one.shows
                    .map((shows) => t(`search.shows.${shows}`))
                    .filter((said, at, all) => all.indexOf(said) === at)
                    .join(', ')}
                </span>
                <span
                  className={`block text-sm ${one.better || one.missed || one.noRoom ? 'font-semibold text-crown' : 'text-ink-2'}`}
                >
                  {one.say}
                </span>
              </button>
            </li>
          ))}
        </ol>
        {step && hive && (
          <section aria-label={t('train.result.odds')}>
            <h2 className="text-xl">{t('train.result.oddsBefore', { nth: nth + 1 })}</h2>
            {hive.boxes
              .map((box, index) => ({ box, number: index + 1 }))
              .reverse()
              .map(({ box, number }) => (
                <Odds key={number} box={number} slots={box.slots} step={step} />
              ))}
            <p className="mt-2 text-sm text-ink-2">{t('train.result.oddsHelp')}</p>
          </section>
        )}
      </div>
    </div>
  )
}

/** The combs of a box, each as likely to have carried her as it is filled; what was lifted is framed. */
function Odds({ box, slots, step }: { box: number; slots: number; step: Scored['steps'][number] }) {
  const { t } = useTranslation()
  const most = Math.max(0.01, ...step.odds.map((one) => one.chance))
  const combs = step.odds.filter((one) => one.box === box)
  return (
    <svg
      viewBox={`0 0 ${slots * COMB_WIDTH} ${COMB_HEIGHT}`}
      className="mt-2 w-full max-w-xl"
      role="img"
      aria-label={combs
        .map((one) =>
          t('train.result.comb', { slot: one.slot, percent: Math.round(100 * one.chance) }),
        )
        .join(', ')}
    >
      {combs.map((one) => {
        const lifted =
          step.place.kind === 'COMB' &&
          (step.place.box ?? 1) === box &&
          step.place.slot === one.slot
        return (
          <g key={one.slot} transform={`translate(${(one.slot - 1) * COMB_WIDTH} 0)`}>
            <CombBar slot={one.slot} chance={one.chance} most={most} framed={lifted} />
          </g>
        )
      })}
    </svg>
  )
}
