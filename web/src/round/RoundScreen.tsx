import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { BeginHere } from '../first/BeginHere'
import type { RoundPage, YardStops } from '../api/types'
import { isNewerThan, thingsIn } from '../outbox/outbox'
import { useParcels } from '../outbox/useRecord'
import { longDay, sayDay } from '../time/days'
import { useSay } from '../units/useSay'
import { Answer } from '../ui/Page'
import { PromisesAtRisk } from './PromisesAtRisk'
import { WeekToday } from './WeekToday'
import { roundQuery } from './queries'
import { WeatherLine } from '../yards/WeatherLine'
import { workOf } from './work'
import { WorkRow } from './WorkRow'

export function RoundScreen() {
  const query = useQuery(roundQuery)
  return (
    <Answer query={query}>
      {(round) => <Round round={round} answeredAt={query.dataUpdatedAt} />}
    </Answer>
  )
}

function Round({ round, answeredAt }: { round: RoundPage; answeredAt: number }) {
  const { t } = useTranslation()
  const [open, setOpen] = useState('')
  const sent = new Set<unknown>(
    useParcels().flatMap((parcel) =>
      parcel.refusal ? [] : parcel.entries.flatMap((entry) => thingsIn(entry.deed)),
    ),
  )
  const yards = round.yards
    .map((yard) => ({
      ...yard,
      // what is on its way, or has arrived since the round was asked for, is no longer to be done
      stops: yard.stops.filter(
        (stop) => !sent.has(stop.subject) && !isNewerThan(stop.subject, answeredAt),
      ),
    }))
    .filter((yard) => yard.stops.length > 0)
  const boxes = yards.reduce((sum, yard) => sum + yard.stops.length, 0)
  return (
    <>
      <title>{`${t('nav.round')} · Vivid Crown`}</title>
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl md:text-3xl">{longDay(round.day)}</h1>
        <p className="text-ink-2">
          {boxes === 0
            ? t('round.nothing')
            : t('round.lead', { count: boxes, yards: yards.length })}
        </p>
      </header>
      {boxes === 0 && <BeginHere />}
      <Shut yards={round.yards} />
      <div className="mt-4 gap-10 lg:grid lg:grid-cols-[minmax(0,1fr)_16rem] lg:grid-rows-[auto_1fr]">
        <div className="mb-2 lg:col-start-2 lg:row-start-1 lg:border-l lg:border-rule lg:pl-6">
          <Carry round={round} />
        </div>
        <div className="min-w-0 space-y-3 md:space-y-8 lg:col-start-1 lg:row-span-2 lg:row-start-1">
          {yards.map((yard) => (
            <section key={yard.yard} aria-labelledby={`yard-${yard.yard}`}>
              <h2
                id={`yard-${yard.yard}`}
                className="flex flex-wrap items-baseline gap-x-4 border-b-2 border-ink pb-1 text-2xl md:pb-2"
              >
                {yard.name}
                <span className="font-work text-base font-normal text-ink-2">
                  {t('round.boxes', { count: yard.stops.length })}
                  {' · '}
                  <WeatherLine yard={yard} day={round.day} />
                </span>
              </h2>
              <ul>
                {workOf(yard.stops).map((work) => (
                  <WorkRow
                    key={work.job + work.text}
                    work={work}
                    today={round.day}
                    open={open}
                    onOpen={setOpen}
                  />
                ))}
              </ul>
            </section>
          ))}
        </div>
        {/* In the yard the first box comes before what can be read later. */}
        <aside className="mt-8 space-y-5 lg:col-start-2 lg:row-start-2 lg:mt-0 lg:border-l lg:border-rule lg:pl-6">
          <Late round={round} />
          <WeekToday />
          <PromisesAtRisk />
          <LookOut round={round} />
        </aside>
      </div>
    </>
  )
}

/** Boxes that stay shut today because their queens may fly. */
function Shut({ yards }: { yards: YardStops[] }) {
  const { t } = useTranslation()
  return yards
    .filter((yard) => yard.shut.length > 0)
    .map((yard) => (
      <p key={yard.yard} className="mt-1 font-bold">
        {t('round.shut', {
          codes: yard.shut.join(', '),
          from: yard.flightsFrom?.slice(0, 5),
          until: yard.flightsUntil?.slice(0, 5),
        })}
      </p>
    ))
}

function Carry({ round }: { round: RoundPage }) {
  const { t } = useTranslation()
  const say = useSay()
  return (
    <section aria-labelledby="carry">
      <h2 id="carry" className="font-work text-sm font-normal text-ink-2">
        {t('round.carry')}
      </h2>
      <ul className="flex flex-wrap gap-x-4 font-read leading-6 font-semibold md:text-lg md:leading-7 lg:block">
        {Object.entries(round.carry).map(([item, count]) => (
          <li key={item}>
            {item === 'SYRUP_DECILITRES'
              ? t('item.SYRUP', { amount: say.volume(Math.ceil(count / 10)) })
              : item === 'SUGAR_KILOGRAMS'
                ? t('item.SUGAR', { amount: say.weight(count) })
                : t(`item.${item}`, { count })}
          </li>
        ))}
        <li>{t('round.always')}</li>
      </ul>
    </section>
  )
}

function Late({ round }: { round: RoundPage }) {
  const { t } = useTranslation()
  if (round.late.length === 0) return null
  return (
    <section aria-labelledby="late">
      <h2 id="late" className="font-work text-sm font-normal text-ink-2">
        {t('round.late')}
      </h2>
      <ul className="space-y-2 text-sm">
        {round.late.slice(0, 8).map((late) => (
          <li key={late.queen}>
            <Link
              to={`/queens/${late.queen}`}
              className="inline-block min-h-6 font-bold text-crown underline"
            >
              {late.hive ?? late.code}
            </Link>{' '}
            {t('round.lateLine', {
              days: late.daysSinceEmergence,
              odds: Math.round(late.comesGood * 100),
              day: sayDay(late.decideBy),
            })}
          </li>
        ))}
      </ul>
    </section>
  )
}

function LookOut({ round }: { round: RoundPage }) {
  const { t } = useTranslation()
  return (
    <section aria-labelledby="look-out">
      <h2 id="look-out" className="font-work text-sm font-normal text-ink-2">
        {t('round.lookOut')}
      </h2>
      {round.yards
        .filter((yard) => yard.caution)
        .map((yard) => (
          <p key={yard.yard} className="mb-1 text-sm font-semibold">
            {yard.name}: {yard.caution}
          </p>
        ))}
      <details className="text-sm">
        <summary className="inline-block min-h-6 underline decoration-dotted underline-offset-4">
          {t('round.cautions')}
        </summary>
        <ul className="mt-1 space-y-1">
          {round.cautions.map((caution) => (
            <li key={caution.id}>{caution.text}</li>
          ))}
        </ul>
      </details>
    </section>
  )
}
