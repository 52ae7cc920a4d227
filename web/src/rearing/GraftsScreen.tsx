import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate } from 'react-router'
import type { GraftLine, Rate } from '../api/types'
import { BeginHere } from '../first/BeginHere'
import { useSession } from '../session/queries'
import { ThreadChart } from '../threads/ThreadChart'
import { saySpan, sayDay } from '../time/days'
import { Answer, More, Page } from '../ui/Page'
import { batchThread, nextStep } from './batchThread'
import { ratesQuery, useGrafts } from './queries'

export default function GraftsScreen() {
  const { t } = useTranslation()
  const grafts = useGrafts()
  const rates = useQuery(ratesQuery)
  return (
    <Page
      title={t('grafts.title')}
      lead={t('grafts.lead')}
      acts={
        <Link to="/grafts/plan" className="act act-main inline-flex items-center">
          {t('grafts.plan')}
        </Link>
      }
    >
      <Answer query={grafts}>
        {(lines) =>
          lines.length === 0 ? (
            <>
              <p className="font-read text-lg">{t('grafts.none')}</p>
              <BeginHere />
            </>
          ) : (
            <>
              <Chart lines={lines} />
              <List lines={lines} />
              <More query={grafts} name={t('grafts.older')} />
            </>
          )
        }
      </Answer>
      {rates.data && <Rates rates={rates.data} />}
    </Page>
  )
}

function Chart({ lines }: { lines: GraftLine[] }) {
  const { t } = useTranslation()
  const { today } = useSession()
  const navigate = useNavigate()
  return (
    <ThreadChart
      name={t('grafts.threads')}
      today={today}
      back={24}
      ahead={28}
      rows={lines
        .filter((graft) => !graft.cancelled)
        .map((graft) => ({
          id: graft.id,
          label: (
            <>
              <strong className="text-lg">{graft.code}</strong>{' '}
              <span className="text-sm text-ink-2">{graft.mother}</span>
            </>
          ),
          says: t('grafts.rowSays', { code: graft.code, mother: graft.mother }),
          thread: batchThread(graft),
          due: nextStep(graft, today),
          onOpen: () => void navigate(`/grafts/${graft.id}`),
        }))}
    />
  )
}

function List({ lines }: { lines: GraftLine[] }) {
  const { t } = useTranslation()
  return (
    <div className="mt-8 overflow-x-auto" tabIndex={0} role="region" aria-label={t('grafts.list')}>
      <table className="w-full min-w-[44rem] text-left">
        <thead className="text-sm text-ink-2">
          <tr className="border-b-2 border-ink">
            {[
              'code',
              'day',
              'mother',
              'builder',
              'grafter',
              'take',
              'placed',
              'laying',
              'next',
            ].map((column) => (
              <th key={column} className="py-1 pr-3 font-normal">
                {t(`grafts.column.${column}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map((graft) => {
            const { counts } = graft
            const next = graft.calendar.steps.find((step) => step.kind === graft.next)
            return (
              <tr key={graft.id} className="h-11 border-b border-rule">
                <td className="pr-3">
                  <Link
                    to={`/grafts/${graft.id}`}
                    className="inline-block min-h-6 text-lg font-bold underline"
                  >
                    {graft.code}
                  </Link>
                </td>
                <td className="pr-3 whitespace-nowrap">{sayDay(graft.graftDay)}</td>
                <td className="pr-3">{graft.mother}</td>
                <td className="pr-3">{graft.builder}</td>
                <td className="pr-3">{graft.grafter}</td>
                <td className="pr-3 whitespace-nowrap">
                  {counts.counted > 0
                    ? t('grafts.takeOf', {
                        took: counts.took,
                        counted: counts.counted,
                        share: Math.round((100 * counts.took) / counts.counted),
                      })
                    : '–'}
                </td>
                <td className="pr-3">{counts.placed + counts.caged || '–'}</td>
                <td className="pr-3">{counts.laying || '–'}</td>
                <td className="whitespace-nowrap">
                  {graft.cancelled
                    ? t('grafts.cancelled')
                    : next
                      ? `${next.name}, ${saySpan(next.when)}`
                      : '–'}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

function Rates({ rates }: { rates: Rate[] }) {
  const { t } = useTranslation()
  return (
    <section className="mt-8" aria-labelledby="rates">
      <h2 id="rates" className="text-xl">
        {t('rates.title')}
      </h2>
      <ul className="mt-2 grid gap-x-8 gap-y-1 sm:grid-cols-2">
        {rates.map((rate) => (
          <li key={rate.step}>
            {t(`rates.${rate.step}`)}: <strong>{Math.round(rate.mean * 100)} %</strong>{' '}
            <span className="text-sm text-ink-2">
              {t('rates.basis', {
                low: Math.round(rate.low * 100),
                high: Math.round(rate.high * 100),
                count: rate.tried,
                source: rate.source,
              })}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
