import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { SeasonPage, Standing } from '../api/types'
import { sayDay } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { BandChart } from './BandChart'
import { MatingYards } from './MatingYards'
import { holding, percent } from './planned'
import { No } from './No'
import { PlannedThreads } from './PlannedThreads'
import { seasonQuery } from './queries'
import { ReckonedWith } from './ReckonedWith'
import { Searches } from './Searches'
import { Drones, RatesTable, ShoppingList } from './Sheets'
import { WeekAhead } from './WeekAhead'

/** Can I promise forty queens for that date? */
export default function SeasonScreen() {
  const { t } = useTranslation()
  const season = useQuery(seasonQuery)
  return (
    <Page
      title={t('season.title')}
      lead={t('season.lead')}
      acts={
        <Link to="/orders" className="act inline-flex items-center">
          {t('season.toOrders')}
        </Link>
      }
    >
      <Answer query={season}>{(page) => <Season page={page} />}</Answer>
    </Page>
  )
}

function Season({ page }: { page: SeasonPage }) {
  const { t } = useTranslation()
  if (page.standings.length === 0)
    return <p className="font-read text-lg">{t('season.noOrders')}</p>
  const holds = holding(page.standings)
  return (
    <>
      <p className="font-read text-2xl font-bold" data-testid="verdict">
        {holds === page.standings.length
          ? t('season.allStand', { all: page.standings.length })
          : t('season.stand', { holds, all: page.standings.length })}
      </p>
      <Standings standings={page.standings} />
      <div className="mt-8">
        <WeekAhead
          planned={page.planned.map((line) => ({ day: line.batch.day, cups: line.batch.cups }))}
        />
      </div>
      <section aria-labelledby="planned" className="mt-8">
        <h2 id="planned" className="text-xl">
          {t('season.planned')}
        </h2>
        {page.planned.length === 0 ? (
          <p>{t('season.nothingPlanned')}</p>
        ) : (
          <>
            <p className="text-sm text-ink-2">{t('season.howToMove')}</p>
            <PlannedThreads season={page} />
            <MatingYards yards={page.yards} />
            <ReckonedWith batches={page.planned.map((line) => line.batch)} />
          </>
        )}
        {page.breaks.length > 0 && (
          <ul className="mt-2" aria-label={t('season.breaks')}>
            {page.breaks.map((one) => (
              <li key={one} className="font-semibold text-crown">
                {one}
              </li>
            ))}
          </ul>
        )}
      </section>
      <Searches season={page} />
      {page.bands.toReversed().map((band) => (
        <BandChart key={band.kind} band={band} today={page.today} />
      ))}
      <Drones drones={page.drones} combs={page.droneCombs} />
      <ShoppingList shopping={page.shopping} />
      <RatesTable rates={page.rates} weakest={page.weakest} />
    </>
  )
}

function Standings({ standings }: { standings: Standing[] }) {
  const { t } = useTranslation()
  return (
    <div
      className="mt-2 overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label={t('season.standings')}
    >
      <table className="w-full min-w-[40rem] text-left">
        <thead className="text-sm text-ink-2">
          <tr className="border-b-2 border-ink">
            {['order', 'what', 'until', 'chance', 'no'].map((column) => (
              <th key={column} className="py-1 pr-3 font-normal">
                {t(`season.column.${column}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {standings.map((one) => (
            <tr
              key={one.demand}
              className="h-10 border-b border-rule"
              data-testid="standing"
              data-demand={one.demand}
            >
              <td className="pr-3">
                <strong>{one.demand}</strong> {one.customer}
              </td>
              <td className="pr-3">
                {t(`order.what.${one.product}`, { count: one.count })}
                {one.line && `, ${one.line}`}
              </td>
              <td className="pr-3 whitespace-nowrap">{sayDay(one.until)}</td>
              <td className={one.state === 'HOLDS' ? '' : 'font-semibold text-crown'}>
                <Reasons reasons={one.reasons}>
                  {t(`season.now.${one.state}`, {
                    chance: percent(one.chance),
                    wanted: percent(one.assurance),
                  })}
                </Reasons>
              </td>
              <td className="py-1">
                <No demand={one.demand} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
