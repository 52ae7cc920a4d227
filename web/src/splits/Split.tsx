import { useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { NewUnit, SplitAsk, SplitPage, SplitSheet, UnitLine } from '../api/types'
import { useSession } from '../session/queries'
import { FoldedBroodWindows } from '../threads/BroodWindows'
import { sayDay, saySpan } from '../time/days'
import { ChoiceField, NumberField, TextField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { Course } from './Course'
import { BoxesOf, FramesOf } from './FramesOf'
import { renamed } from './making'
import { at, held, heldFromAddress, heldInAddress, leaving, sidesOf, type Held } from './moving'
import { recipesQuery, splitQuery } from './queries'
import { RecipeForm } from './RecipeForm'
import { NotBegun, useTakeAlong } from './TakeAlong'
import { yardsQuery } from '../yards/queries'
import { Unread } from './Unread'
import { ReckonedLine } from './ReckonedLine'

const RECIPES: SplitAsk['recipe'][] = [
  'CELL_NUC',
  'MATED_QUEEN_SPLIT',
  'WALK_AWAY',
  'OLD_QUEEN_NUC',
  'OLD_QUEEN_NUC_LEAVE_ONE',
  'OLD_QUEEN_NUC_BEFORE_CELLS',
  'STRIP_DOWN',
  'MINI_MATING_NUC',
  'POOLED_AUTUMN_SPLIT',
  'ONE_FRAME_EMERGENCY',
]
const OWN = 'own:'
const PLACES = ['SAME_YARD', 'TURNED_ENTRANCE', 'SHUT_IN', 'AWAY'] as const

/** The question in the address, so that a reload and a link ask the same. */
function asked(search: URLSearchParams, fast: Held): SplitAsk {
  const number = (key: string) => (search.get(key) ? Number(search.get(key)) : undefined)
  return {
    recipe: RECIPES.find((one) => one === search.get('recipe')) ?? 'CELL_NUC',
    yard: search.get('yard') ?? undefined,
    day: search.get('day') ?? undefined,
    most: number('most'),
    unitsAt: PLACES.find((one) => one === search.get('at')),
    kilometres: number('km'),
    boxes: number('boxes'),
    drawn: number('drawn'),
    queens: number('queens'),
    held: [...fast],
    own: search.get('own') ?? undefined,
    to: search.get('to') ?? undefined,
  }
}

export function Split({
  search,
  set,
  where,
}: {
  search: URLSearchParams
  set: (key: string, value: string) => void
  where: ReactNode
}) {
  const { t } = useTranslation()
  const [changing, setChanging] = useState(false)
  const fast = heldFromAddress(search.get('held') ?? '')
  const setFast = (next: Held) => set('held', heldInAddress(next))
  const recipes = useQuery(recipesQuery)
  const yards = useQuery(yardsQuery)
  const ask = asked(search, fast)
  const mayChange = useSession().role === 'OWNER'
  const recipe = ask.own
    ? recipes.data?.own.find((one) => one.name === ask.own)?.recipe
    : recipes.data?.trade.find((one) => one.kind === ask.recipe)
  const page = useQuery(splitQuery(ask))
  const number = (
    key: 'most' | 'boxes' | 'drawn' | 'queens' | 'km',
    name: string,
    most: number,
  ) => (
    <NumberField
      name={name}
      value={search.get(key) ? Number(search.get(key)) : undefined}
      min={0}
      max={most}
      placeholder={t('splits.anyNumber')}
      onChange={(next) => set(key, next === undefined ? '' : String(next))}
    />
  )
  return (
    <>
      <div className="no-print grid grid-cols-2 gap-x-4 gap-y-2 md:grid-cols-5">
        <ChoiceField
          name={t('splits.recipe')}
          value={ask.own ? OWN + ask.own : ask.recipe}
          choices={[...RECIPES, ...(recipes.data?.own ?? []).map((one) => OWN + one.name)]}
          say={(one) => (one.startsWith(OWN) ? one.slice(OWN.length) : t(`splits.recipes.${one}`))}
          onChange={(one) => {
            set('own', one.startsWith(OWN) ? one.slice(OWN.length) : '')
            if (!one.startsWith(OWN)) set('recipe', one)
          }}
        />
        {number('most', t('splits.most'), 400)}
        <TextField
          name={t('splits.day')}
          type="date"
          value={search.get('day') ?? ''}
          onChange={(day) => set('day', day)}
        />
        <ChoiceField
          name={t('splits.place')}
          value={ask.unitsAt ?? ''}
          choices={['', ...PLACES] as const}
          say={(one) => t(`splits.places.${one || 'ANY'}`)}
          onChange={(one) => set('at', one)}
        />
        {where}
        <ChoiceField
          name={t('splits.to')}
          value={ask.to ?? ''}
          choices={['', ...(yards.data ?? []).map((one) => one.id)]}
          say={(id) => yards.data?.find((one) => one.id === id)?.name ?? t('splits.places.ANY')}
          onChange={(id) => set('to', id)}
        />
        {number('boxes', t('splits.boxes'), 9999)}
        {number('drawn', t('splits.drawn'), 9999)}
        {number('queens', t('splits.queens'), 9999)}
        {ask.unitsAt === 'AWAY' && number('km', t('splits.kilometres'), 500)}
        {mayChange && recipe && (
          <button
            type="button"
            className="act self-end"
            aria-expanded={changing}
            onClick={() => setChanging(!changing)}
          >
            {t('recipe.change')}
          </button>
        )}
      </div>
      {changing && recipe && (
        <RecipeForm
          key={ask.own ?? ask.recipe}
          name={ask.own ?? ''}
          recipe={recipe}
          onKept={(name) => {
            set('own', name)
            setChanging(false)
          }}
        />
      )}
      <Answer query={page}>
        {(found) => (
          <Found
            page={found}
            pending={page.isFetching}
            fast={fast}
            onTap={(hive, box, slot, goesNow) => setFast(held(fast, { hive, box, slot }, goesNow))}
            onFree={() => setFast([])}
          />
        )}
      </Answer>
    </>
  )
}

function Found({
  page,
  pending,
  fast,
  onTap,
  onFree,
}: {
  page: SplitPage
  pending: boolean
  fast: Held
  onTap: (hive: string, box: number, slot: number, goesNow: boolean) => void
  onFree: () => void
}) {
  const { t } = useTranslation()
  const { plan } = page
  const giving = plan.donors.flatMap((donor) =>
    page.units.filter((line) => line.code === donor.code).map((line) => ({ donor, line })),
  )
  return (
    <div className="mt-4" aria-busy={pending}>
      <p className="font-read text-2xl font-bold" data-testid="answer">
        {plan.answer}
      </p>
      <ReckonedLine about={page.with} />
      <AtHand page={page} />
      <p className="text-ink-2">
        {[plan.whyNotMore, plan.secondBest?.text].filter(Boolean).join(' ')}
      </p>
      <ul className="mt-1">
        {plan.objections
          .filter((one) => one.text !== plan.answer)
          .map((one) => (
            <li key={one.text} className={one.refuses ? 'font-semibold text-crown' : ''}>
              {one.refuses ? '✕ ' : '! '}
              {one.text}
            </li>
          ))}
      </ul>
      {page.sheet && !pending && <TakeAlong key={JSON.stringify(page.sheet)} sheet={page.sheet} />}
      {plan.newUnits.length > 0 && !page.sheet && (
        <p className="font-semibold text-crown">{t('splits.formats')}</p>
      )}
      <div className="no-print mt-2 flex gap-3">
        {plan.newUnits.length > 0 && (
          <button className="act" onClick={() => window.print()}>
            {t('splits.print')}
          </button>
        )}
        {fast.length > 0 && (
          <button className="act" onClick={onFree}>
            {t('splits.free', { count: fast.length })}
          </button>
        )}
      </div>
      <div className="mt-4 gap-x-10 lg:grid lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div>
          {giving.map(({ donor, line }) => (
            <DonorRow
              key={donor.code}
              donor={donor}
              line={line}
              goes={leaving(plan, donor.code)}
              fast={
                new Map(
                  fast
                    .filter((one) => one.hive === donor.code)
                    .map((one) => [at(one.box, one.slot), one.goes]),
                )
              }
              onTap={(box, slot, goesNow) => onTap(donor.code, box, slot, goesNow)}
            />
          ))}
        </div>
        <aside data-drop="units">
          <h2 className="text-xl">{t('splits.newUnits')}</h2>
          {plan.newUnits.map((unit) => (
            <Unit key={unit.code} unit={unit} lines={page.units} />
          ))}
          {plan.newUnits.length > 0 && <Summary page={page} />}
          <LeftOut page={page} />
        </aside>
      </div>
    </div>
  )
}

/** Where the new units go, what is at hand on the day, what the store has. */
function AtHand({ page }: { page: SplitPage }) {
  const { t } = useTranslation()
  const { atHand, inStock } = page
  const says = [
    page.kilometres > 0 && t('splits.standAt', { yard: page.toYard, kilometres: page.kilometres }),
    t('splits.atHand', {
      cells: atHand.ripeCells,
      virgins: atHand.virgins,
      queens: atHand.matedQueens,
    }),
    page.driftCounts > 0 &&
      t('splits.ownDrift', {
        count: page.driftCounts,
        percent: Math.round(page.ownDrift * 100),
      }),
    page.framesMeant > 0 && t('splits.framesMeant', { count: page.framesMeant }),
    inStock.boxes !== undefined && t('splits.inStockBoxes', { count: inStock.boxes }),
    inStock.drawn !== undefined && t('splits.inStockDrawn', { count: inStock.drawn }),
  ]
  return <p className="text-sm text-ink-2">{says.filter(Boolean).join(' ')}</p>
}

/** The plan becomes a sheet that is followed at the hives; the new units get their names. */
function TakeAlong({ sheet }: { sheet: SplitSheet }) {
  const { t } = useTranslation()
  const [first, setFirst] = useState(sheet.units[0]?.code ?? '')
  const begin = useTakeAlong((split) => ({
    kind: 'SPLIT_BEGUN',
    split,
    sheet: renamed(sheet, first),
  }))
  return (
    <form
      className="no-print mt-3 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        begin.mutate()
      }}
    >
      <TextField
        name={t('splits.firstCode')}
        required
        maxLength={20}
        value={first}
        onChange={setFirst}
      />
      <button className="act act-main" disabled={begin.isPending}>
        {t('splits.takeAlong')}
      </button>
      <NotBegun error={begin.error} />
    </form>
  )
}

function DonorRow({
  donor,
  line,
  goes,
  fast,
  onTap,
}: {
  donor: SplitPage['plan']['donors'][number]
  line: UnitLine
  goes: Map<string, string>
  fast: Map<string, boolean>
  onTap: (box: number, slot: number, goesNow: boolean) => void
}) {
  const { t } = useTranslation()
  return (
    <section
      aria-labelledby={`donor-${line.id}`}
      data-drop="hive"
      className="gap-x-4 border-b border-rule py-3 sm:grid sm:grid-cols-[7.5rem_minmax(0,1fr)]"
    >
      <div>
        <h3 id={`donor-${line.id}`} className="text-xl font-bold">
          {donor.code}
        </h3>
        <p className="text-sm text-ink-2">
          {t('splits.keeps', { keeps: donor.keeps, of: donor.ofBrood })}
          <br />
          {t('splits.beesStay', { bees: donor.bees.likely })}
          <br />
          {line.readOn && t('splits.readOn', { day: sayDay(line.readOn) })}
        </p>
      </div>
      <div>
        <BoxesOf
          line={line}
          goes={goes}
          fast={fast}
          onTap={(box, slot) => onTap(box, slot, goes.has(at(box, slot)))}
        />
        <p className="text-sm">
          {donor.search.length > 0 && (
            <strong className="text-crown">
              {t('splits.search', {
                slots: donor.search.map((one) => one.slot).join(', '),
              })}{' '}
            </strong>
          )}
          {donor.notes.join(' ')} {donor.loses}
        </p>
      </div>
    </section>
  )
}

function Unit({ unit, lines }: { unit: NewUnit; lines: UnitLine[] }) {
  const { t } = useTranslation()
  const sides = sidesOf(unit, lines)
  const from = [...new Set(unit.layout.flatMap((place) => place.fromHive ?? []))]
  const shakes = unit.shakes
    .map((one) =>
      t(one.aboveExcluder ? 'splits.shakeAbove' : 'splits.shake', {
        frames: one.frames,
        hive: one.fromHive,
      }),
    )
    .join(', ')
  const full = unit.forecast.milestones.find((one) => one.what === 'FULL_BOX')
  return (
    <details className="border-b border-rule py-2">
      <summary className="cursor-pointer">
        <strong className="mr-2">{unit.code}</strong>
        {t('splits.outOf', {
          hives: from.join(', ') || unit.shakes.map((one) => one.fromHive).join(', '),
        })}
        {' · '}
        {t('splits.beesThen', {
          least: unit.bees.least,
          most: unit.bees.most,
          brood: unit.broodFrames,
        })}
        {unit.mayHoldHer.length > 0 && (
          <span className="block font-semibold text-crown">
            {t('splits.mayHoldHer', { hives: unit.mayHoldHer.join(', ') })}
          </span>
        )}
      </summary>
      {unit.layout.length > 0 && (
        <FramesOf
          name={unit.code}
          box={1}
          slots={unit.layout.length}
          hanging={new Set(unit.layout.map((place) => at(1, place.slot)))}
          sides={sides}
        />
      )}
      <ol className="text-sm">
        {unit.layout.map((place) => (
          <li key={place.slot}>
            <Box /> {place.slot} ·{' '}
            {place.fromHive && place.from
              ? t('splits.frameFrom', {
                  hive: place.fromHive,
                  slot: place.from.slot,
                  what: place.because,
                })
              : t(`splits.filled.${place.filled}`)}
          </li>
        ))}
      </ol>
      {shakes && <p className="text-sm">{t('splits.shaken', { shakes })}</p>}
      {unit.levelled !== 0 && (
        <p className="text-sm">
          {t(unit.levelled > 0 ? 'splits.levelledIn' : 'splits.levelledOut', {
            frames: Math.abs(unit.levelled),
          })}
        </p>
      )}
      <ul className="mt-2 text-sm">
        {unit.calendar.map((step) => (
          <li key={step.text + step.when.earliest} className={step.handsOff ? 'italic' : ''}>
            <Box /> <strong>{saySpan(step.when)}</strong> {step.text}
          </li>
        ))}
      </ul>
      <p className="text-sm">{unit.fallback}</p>
      {full && <p className="text-sm">{full.text}</p>}
      <ul className="text-sm text-ink-2">
        {unit.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <Reasons reasons={unit.reasons}>{t('splits.why')}</Reasons>
    </details>
  )
}

/** To be ticked on paper. */
function Box() {
  return (
    <span aria-hidden className="hidden print:inline">
      ☐
    </span>
  )
}

function Summary({ page }: { page: SplitPage }) {
  const { t } = useTranslation()
  const { plan } = page
  const needs = Object.entries(plan.needs).filter(([, count]) => count > 0)
  return (
    <>
      <h2 className="mt-5 text-xl">{t('splits.flyHome')}</h2>
      <p>
        {plan.flyHome.most === 0
          ? t('splits.noneFlyHome')
          : t('splits.flyHomeSays', { least: plan.flyHome.least, most: plan.flyHome.most })}
      </p>
      <h2 className="mt-5 text-xl">{t('splits.donorsLater')}</h2>
      <Course
        withSplit={plan.donors.map((donor) => donor.withSplit)}
        without={plan.donors.map((donor) => donor.without)}
      />
      {page.broodBreak && (
        <div className="mt-5">
          <FoldedBroodWindows brood={page.broodBreak} />
        </div>
      )}
      <h2 className="mt-5 text-xl">{t('splits.carry')}</h2>
      <p>{needs.map(([need, count]) => t(`splits.need.${need}`, { count })).join(' · ')}</p>
      <ul className="mt-2 text-sm text-ink-2">
        {plan.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
    </>
  )
}

function LeftOut({ page }: { page: SplitPage }) {
  const { t } = useTranslation()
  const { leftOut } = page.plan
  if (leftOut.length === 0 && page.units.every((line) => !line.unread)) return null
  return (
    <>
      <h2 className="mt-5 text-xl">{t('splits.leftOut')}</h2>
      <ul className="text-sm">
        {leftOut.map((one) => (
          <li key={one.why}>{one.why}</li>
        ))}
      </ul>
      <Unread lines={page.units} />
    </>
  )
}
