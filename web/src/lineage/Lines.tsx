import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { LinesPage } from '../api/types'
import { Answer } from '../ui/Page'
import { BreedersFor } from './BreedersFor'
import { sayMerit } from './merit'
import { linesQuery } from './queries'
import { TestGroups } from './TestGroups'

/** How broad the stock stands, which mothers earn their place, who is grafted from next. */
export function Lines({
  search,
  set,
}: {
  search: URLSearchParams
  set: (part: Record<string, string>) => void
}) {
  const { t } = useTranslation()
  const query = useQuery(linesQuery)
  return (
    <Answer query={query}>
      {(page) => (
        <>
          <p className="font-read text-2xl font-bold" data-testid="answer">
            {t('lines.answer', {
              lines: page.lines.length,
              effective: page.effectiveLines.toFixed(1),
            })}
          </p>
          <p className="max-w-3xl">
            {t('lines.breadth', {
              founders: page.founders.toFixed(1),
              strangers: Math.round(page.strangers * 100),
              kinship: page.kinship.toFixed(3),
            })}
          </p>
          <ul className="mt-2 flex flex-wrap gap-x-5">
            {page.lines.map((one) => (
              <li key={one.line}>
                <Link
                  className="inline-block min-h-6 underline"
                  to={`/queens?view=list&line=${encodeURIComponent(one.line)}`}
                >
                  {one.line}
                </Link>{' '}
                {one.queens}
              </li>
            ))}
          </ul>
          {page.near.length > 0 && (
            <section className="mt-4" aria-labelledby="near">
              <h2 id="near" className="text-xl">
                {t('lines.near')}
              </h2>
              <ul>
                {page.near.map((pair) => (
                  <li key={pair.one + pair.other} className="font-semibold text-crown">
                    {t('lines.pair', { ...pair, kinship: pair.kinship.toFixed(3) })}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <Mothers page={page} />
          <BreedersFor search={search} set={set} />
          <TestGroups mothers={page.mothers} />
          <p className="mt-4 flex flex-wrap gap-4">
            <a className="underline" href="/api/v1/exports/pedigree.csv">
              {t('lines.csv')}
            </a>
            <a className="underline" href="/api/v1/exports/scores.csv">
              {t('lines.scoresCsv')}
            </a>
            <a className="underline" href="/api/v1/exports/pedigree?format=GRAPHML">
              GraphML
            </a>
            <a className="underline" href="/api/v1/exports/pedigree?format=DOT">
              DOT
            </a>
            <a className="underline" href="/api/v1/exports/yards.geojson">
              {t('lines.geojson')}
            </a>
          </p>
        </>
      )}
    </Answer>
  )
}

function Mothers({ page }: { page: LinesPage }) {
  const { t } = useTranslation()
  return (
    <section className="mt-5" aria-labelledby="mothers">
      <h2 id="mothers" className="border-b-2 border-ink pb-1 text-xl">
        {t('lines.mothers')}
      </h2>
      <ul>
        {page.mothers.map((one) => (
          <li
            key={one.id}
            className={`grid min-h-12 grid-cols-2 items-center gap-x-3 border-b border-rule py-1 md:grid-cols-[8rem_7rem_10rem_minmax(0,1fr)_14rem] ${one.alive ? '' : 'text-ink-2'}`}
          >
            <Link className="inline-block min-h-6 font-bold underline" to={`/queens/${one.id}`}>
              {one.code}
            </Link>
            <span>{one.line}</span>
            <Link className="underline" to={`/queens?view=list&kept=ALL&mother=${one.id}`}>
              {t('lines.daughters', { count: one.daughters, laying: one.laying })}
            </Link>
            <span>{sayMerit(t, one.merit, one.reliability)}</span>
            {one.spread ? <Spread one={one.spread} self={one.merit} /> : <span />}
          </li>
        ))}
      </ul>
      <ul className="mt-2 max-w-3xl text-sm text-ink-2">
        {[...page.ways, ...page.flags].map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </section>
  )
}

const HALF = 1
const WIDTH = 200

/** Daughters beside their mother: a bar from the least to the most, a tick at their mean, a dot for herself. */
function Spread({
  one,
  self,
}: {
  one: NonNullable<LinesPage['mothers'][number]['spread']>
  self?: number
}) {
  const { t } = useTranslation()
  const x = (value: number) =>
    ((Math.max(-HALF, Math.min(HALF, value)) + HALF) / (2 * HALF)) * WIDTH
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 20`}
      className="h-5 w-full"
      role="img"
      aria-label={t('lines.spread', {
        least: one.least.toFixed(1),
        likely: one.likely.toFixed(1),
        most: one.most.toFixed(1),
      })}
    >
      <line x1={x(0)} x2={x(0)} y1={0} y2={20} stroke="var(--rule)" />
      <line
        x1={x(one.least)}
        x2={x(one.most)}
        y1={10}
        y2={10}
        stroke="var(--ink-3)"
        strokeWidth={6}
      />
      <line
        x1={x(one.likely)}
        x2={x(one.likely)}
        y1={3}
        y2={17}
        stroke="var(--ink)"
        strokeWidth={2}
      />
      {self !== undefined && <circle cx={x(self)} cy={10} r={4} fill="var(--crown)" />}
    </svg>
  )
}
