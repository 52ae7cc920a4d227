import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import type { BoostPage } from '../api/types'
import { saySpan } from '../time/days'
import { TickField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { Course } from './Course'
import { HiveChoice } from './HiveChoice'
import { boostQuery } from './queries'
import { ReckonedLine } from './ReckonedLine'
import { TakeMovesAlong } from './TakeAlong'

/** How a weak unit is made stronger, out of which hives. */
export function Boost({
  search,
  set,
}: {
  search: URLSearchParams
  set: (key: string, value: string) => void
}) {
  const { t } = useTranslation()
  const unit = search.get('unit') ?? ''
  const rain = search.get('rain') === 'yes'
  const page = useQuery(boostQuery(unit, rain))
  return (
    <>
      <div className="no-print grid grid-cols-2 gap-x-4 gap-y-2 md:grid-cols-5">
        <HiveChoice name={t('splits.weak')} value={unit} onChange={(id) => set('unit', id)} />
        <TickField
          name={t('splits.rain')}
          value={rain}
          onChange={(on) => set('rain', on ? 'yes' : '')}
        />
      </div>
      {unit && <Answer query={page}>{(found) => <Found page={found} />}</Answer>}
    </>
  )
}

function Found({ page }: { page: BoostPage }) {
  const { t } = useTranslation()
  const { plan } = page
  return (
    <div className="mt-4">
      <p className="font-read text-2xl font-bold" data-testid="answer">
        {plan.ways.length === 0
          ? t('splits.noBoost', { unit: page.unit })
          : t('splits.boosts', { unit: page.unit, count: plan.ways.length })}
      </p>
      <ReckonedLine about={page.with} />
      <p className="text-sm text-ink-2">{t('splits.celsius', { celsius: page.celsius })}</p>
      <Objections all={plan.objections} />
      {plan.ways.map((way) => (
        <section key={way.how} aria-labelledby={way.how} className="mt-5">
          <h2 id={way.how} className="text-xl">
            {t(`splits.boost.${way.how}`)}
          </h2>
          <ul className="font-semibold">
            {way.parts.map((part) => (
              <li key={`${part.from} ${part.frame?.box} ${part.frame?.slot}`}>
                {part.frame
                  ? t('splits.boostFrame', {
                      hive: part.from,
                      slot: part.frame.slot,
                      to: part.toSlot,
                    })
                  : t('splits.boostBees', { hive: part.from, frames: part.framesOfBees })}
                {part.search && <strong className="text-crown"> {t('splits.searchFirst')}</strong>}
              </li>
            ))}
          </ul>
          <Steps steps={way.steps} />
          <TakeWayAlong page={page} way={way.how} name={t(`splits.boost.${way.how}`)} />
          <p className="mt-1">{t('splits.newcomers', { ratio: way.newcomers })}</p>
          <Looks looks={way.looks} />
          <ul className="text-sm text-ink-2">
            {way.cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
          <Course withSplit={[way.forecast]} without={[plan.without]} says="splits.courseBoost" />
        </section>
      ))}
      {plan.left.length > 0 && (
        <>
          <h2 className="mt-5 text-xl">{t('splits.leftOut')}</h2>
          <ul className="text-sm">
            {plan.left.map((one) => (
              <li key={one.why}>{one.why}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}

/** The way as a sheet, where it may be begun. */
export function TakeWayAlong({
  page,
  way,
  name,
}: {
  page: Pick<BoostPage, 'sheets'>
  way: string
  name: string
}) {
  const sheet = page.sheets.find((one) => one.way === way)?.sheet
  return sheet ? <TakeMovesAlong sheet={sheet} what={name} /> : null
}

export function Objections({ all }: { all: BoostPage['plan']['objections'] }) {
  return (
    <ul className="mt-1">
      {all.map((one) => (
        <li key={one.text} className={one.refuses ? 'font-semibold text-crown' : ''}>
          {one.refuses ? '✕ ' : '! '}
          {one.text}
        </li>
      ))}
    </ul>
  )
}

export function Steps({ steps }: { steps: readonly string[] }) {
  return (
    <ol className="mt-1 list-decimal pl-6">
      {steps.map((step) => (
        <li key={step} className="py-1">
          {step}
        </li>
      ))}
    </ol>
  )
}

export function Looks({ looks }: { looks: BoostPage['plan']['ways'][number]['looks'] }) {
  return (
    <ul className="mt-1">
      {looks.map((look) => (
        <li key={look.text}>
          <strong>{saySpan(look.when)}</strong> {look.text}
        </li>
      ))}
    </ul>
  )
}
