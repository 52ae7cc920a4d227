import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import type { ColonyPage, Deed, SwarmPlan } from '../api/types'
import { Entries } from '../journal/Entries'
import { UnmarkedAsked } from '../lineage/UnmarkedAsked'
import { YearDot } from '../queens/YearDot'
import { unmarkedWhereMarked } from './unmarked'
import { HiveMites } from '../mites/HiveMites'
import { HiveForecast } from '../splits/HiveForecast'
import { ReserveField } from '../splits/Reserve'
import { sayDay } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { boxesOf, hangingIn } from './BoxChoice'
import { BoxFromAbove } from './BoxFromAbove'
import { EndForm } from './EndForm'
import { FrameMoves } from './FrameMoves'
import { Happened, Harvested } from './Happened'
import { OpenLooks, Options } from './Options'
import { colonyQuery } from './queries'
import { Readings } from './Readings'
import { SetUpForm } from './SetUpForm'
import { StackLine } from './StackLine'
import { SwarmSteps } from './SwarmSteps'
import { ThreeVerdicts } from './ThreeVerdicts'
import { VerdictColumn } from './VerdictColumn'

/** So sure one is of a laying queen before one divides a colony for its strength alone. */
const LAYS = 0.8
const IN_READINGS: ReadonlySet<Deed['kind']> = new Set(['HIVE_READ'])

export default function ColonyScreen() {
  const id = useParams().id ?? ''
  const [school, setSchool] = useState<SwarmPlan['school']>()
  const query = useQuery(colonyQuery(id, school))
  return (
    <Answer query={query}>
      {(page) => <Colony key={id} page={page} onSchool={(next) => setSchool(next)} />}
    </Answer>
  )
}

function Colony({
  page,
  onSchool,
}: {
  page: ColonyPage
  onSchool: (school: SwarmPlan['school']) => void
}) {
  const { t } = useTranslation()
  const { colony, verdict, readings } = page
  const asked = unmarkedWhereMarked(page)
  const [open, setOpen] = useState<'change' | 'end'>()
  const toggle = (which: 'change' | 'end') => setOpen(open === which ? undefined : which)
  const drawn = readings.find((one) => one.reading.sides.length > 0)
  return (
    <Page
      title={colony.code}
      lead={`${colony.yardName} · ${t(`purpose.${colony.purpose}`)} · ${colony.format}, ${colony.frames}`}
    >
      <p className="mb-4">
        <Link
          to={`/colonies/${colony.id}/read`}
          className="act act-main inline-flex min-h-12 items-center"
        >
          {t('colonies.doRead')}
        </Link>
        <Link
          to={`/colonies/${colony.id}/search`}
          className="act ml-3 inline-flex min-h-12 items-center"
        >
          {t('find.do')}
        </Link>
        <button
          className="act ml-3"
          aria-expanded={open === 'change'}
          onClick={() => toggle('change')}
        >
          {t('setUp.change')}
        </button>
        {!page.endedOn && (
          <button className="act ml-3" aria-expanded={open === 'end'} onClick={() => toggle('end')}>
            {t('endHive.do')}
          </button>
        )}
      </p>
      {page.endedOn && (
        <p className="mb-4 font-semibold text-crown">
          {t('endHive.ended', { day: sayDay(page.endedOn) })}
        </p>
      )}
      {open === 'change' && <SetUpForm page={page} onDone={() => setOpen(undefined)} />}
      {open === 'end' && <EndForm page={page} onDone={() => setOpen(undefined)} />}
      <StackLine page={page} />
      {asked && <UnmarkedAsked queen={asked} />}
      <p className="mb-3 flex flex-wrap items-center gap-x-6">
        {page.queens.map((queen) => (
          <span key={queen.id} className="flex items-center gap-3">
            <Link className="inline-block min-h-6 underline" to={`/queens/${queen.id}`}>
              {queen.name || queen.code}
            </Link>
            <YearDot queen={queen} />
          </span>
        ))}
        {page.strength && (
          <span>
            {t(page.strength.plausible ? 'colony.strength' : 'colony.tooMany', {
              frames: page.strength.framesOfBees,
              bees: page.strength.bees.toLocaleString('en'),
            })}
            {page.strength.sealedCells > 0 &&
              ` ${t('colony.toCome', {
                cells: page.strength.sealedCells.toLocaleString('en'),
                frames: page.strength.framesToCome.toFixed(1),
              })}`}
          </span>
        )}
      </p>
      {page.strength?.weak && <p className="mb-3 font-semibold text-crown">{page.strength.weak}</p>}
      <ThreeVerdicts page={page} />
      <div className="gap-10 lg:grid lg:grid-cols-[24rem_minmax(0,1fr)]">
        <VerdictColumn verdict={verdict} />
        <div className="mt-8 min-w-0 lg:mt-0">
          {page.open.length > 0 && <OpenLooks page={page} />}
          {page.swarm && <SwarmSteps colony={colony} plan={page.swarm} onSchool={onSchool} />}
          {!page.swarm &&
            !page.endedOn &&
            verdict.stop.length === 0 &&
            (verdict.contents.queen.LAYING ?? 0) > LAYS && (
              <p className="mb-4">
                <button className="act" onClick={() => onSchool('BEFORE_CELLS')}>
                  {t('colony.before')}
                </button>
              </p>
            )}
          <Options page={page} />
          {drawn && (
            <section className="mt-6" aria-label={t('read.last', { day: sayDay(drawn.day) })}>
              <p className="text-sm text-ink-2">{t('read.last', { day: sayDay(drawn.day) })}</p>
              {boxesOf(page.stack)
                .filter((box) => drawn.reading.sides.some((side) => side.box === box.level))
                .reverse()
                .map((box) => (
                  <BoxFromAbove
                    key={box.id}
                    box={box.level}
                    slots={box.slots}
                    hanging={hangingIn(box)}
                    sides={drawn.reading.sides}
                    height={130}
                    name={`${colony.code}, ${t(`boxKind.${box.kind}`)} ${box.level}`}
                  />
                ))}
            </section>
          )}
          {!page.endedOn && <HiveMites hive={colony.id} />}
          {!page.endedOn && <HiveForecast hive={colony.id} />}
          {!page.endedOn && <ReserveField hive={colony.id} code={colony.code} />}
          <Happened page={page} />
          <Harvested page={page} />
          <FrameMoves page={page} />
          <Readings page={page} />
          <Entries subject={colony.id} label={colony.code} without={IN_READINGS} />
        </div>
      </div>
    </Page>
  )
}
