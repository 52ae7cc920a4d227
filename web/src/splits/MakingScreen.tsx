import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import type { Deed, LaterStep, MadeUnit, Making, MakingStep } from '../api/types'
import { stackQuery } from '../colonies/queries'
import { useParcels, useRecord } from '../outbox/useRecord'
import { sayDay, saySpan } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { PaperLink } from '../ui/PaperLink'
import { deedsOf, doneSoFar, foundOn, gateOf, otherwise, waysOpen, type How } from './making'
import { makingQuery } from './queries'

/** Where what was done is an answer to a question. */
const ASKS: Partial<Record<MakingStep['kind'], 'find' | 'ownQueen' | 'takeOut'>> = {
  FIND: 'find',
  OWN_QUEEN: 'ownQueen',
  TAKE_OUT: 'takeOut',
}

const BIG = 'act min-h-16 text-lg'

/** A split at the open hives: one step at a time, its gate before it, what was planned beside what was done. */
export default function MakingScreen() {
  const { id = '' } = useParams()
  const query = useQuery(makingQuery(id))
  return <Answer query={query}>{(making) => <Steps making={making} />}</Answer>
}

function Steps({ making }: { making: Making }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [chosen, setChosen] = useState<string>()
  const waiting = useParcels().flatMap((parcel) =>
    parcel.refusal ? [] : parcel.entries.map((entry) => entry.deed),
  )
  const done = doneSoFar(making, waiting)
  const left = making.steps.filter((step) => !done.has(step.key))
  const now = making.steps.find((step) => step.key === chosen) ?? left[0]
  const rest = left.filter((step) => step.key !== now?.key)
  const over = making.steps.filter((step) => done.has(step.key) && step.key !== now?.key)
  const put = (label: string, deeds: Deed[]) => {
    setChosen(undefined)
    void record(
      label,
      deeds.map((deed) => ({ deed })),
    )
  }
  return (
    <Page
      title={making.moves ? making.recipeText : t('making.title', { what: making.recipeText })}
      lead={
        making.dropped
          ? t('making.dropped')
          : left.length === 0
            ? t('making.made')
            : t('making.progress', {
                done: making.steps.length - left.length,
                all: making.steps.length,
              })
      }
      acts={<PaperLink path={`/api/v1/splits/making/${making.id}/sheet.pdf`} />}
    >
      <div className="gap-x-10 lg:grid lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div>
          {now && !making.dropped && (
            <Now
              key={now.key}
              making={making}
              step={now}
              done={done}
              onChoose={setChosen}
              onDone={(deeds) => put(`${now.at}: ${now.text}`, deeds)}
            />
          )}
          {rest.length > 0 && (
            <List steps={rest} done={done} onChoose={setChosen} name={t('making.ahead')} />
          )}
          {over.length > 0 && (
            <details className="mt-4">
              <summary className="inline-block min-h-11 underline decoration-dotted underline-offset-4">
                {t('making.over', { count: over.length })}
              </summary>
              <List steps={over} done={done} onChoose={setChosen} name={t('making.steps')} />
            </details>
          )}
        </div>
        <aside className="mt-6 lg:mt-0">
          <h2 className="text-xl">{t(making.moves ? 'making.followsMoves' : 'making.follows')}</h2>
          {making.units.map((unit) => (
            <Unit key={unit.code} making={making} unit={unit} done={done} onDone={put} />
          ))}
          {making.still.map((one) => (
            <Later key={one.key} making={making} one={one} onDone={put} />
          ))}
          {!making.dropped && (
            <button
              className="act mt-4"
              onClick={() => put(t('making.drop'), [{ kind: 'SPLIT_DROPPED', split: making.id }])}
            >
              {t('making.drop')}
            </button>
          )}
        </aside>
      </div>
    </Page>
  )
}

function List({
  steps,
  done,
  name,
  onChoose,
}: {
  steps: readonly MakingStep[]
  done: ReadonlyMap<string, How>
  name: string
  onChoose: (key: string) => void
}) {
  const { t } = useTranslation()
  return (
    <ol className="mt-4 border-t-2 border-ink" aria-label={name}>
      {steps.map((step) => (
        <li key={step.key} className="border-b border-rule">
          <button
            className="flex min-h-11 w-full items-baseline gap-3 py-1 text-left"
            onClick={() => onChoose(step.key)}
          >
            <span className="min-w-0 flex-1">{step.text}</span>
            {done.has(step.key) && (
              <span className="shrink-0 text-sm text-ink-2">
                {t(`making.how.${done.get(step.key)}`)}
              </span>
            )}
          </button>
        </li>
      ))}
    </ol>
  )
}

/** The step at hand, large enough for gloves. */
function Now({
  making,
  step,
  done,
  onChoose,
  onDone,
}: {
  making: Making
  step: MakingStep
  done: ReadonlyMap<string, How>
  onChoose: (key: string) => void
  onDone: (deeds: Deed[]) => void
}) {
  const { t } = useTranslation()
  const gate = gateOf(step, making, done)
  const opens = making.steps.find((one) => gate !== 'OPEN' && one.key === step.needs?.key)
  const ways = waysOpen(step, gate)
  const canBeHers = step.kind === 'FRAME' && gate === 'SEARCH_BOTH_SIDES'
  return (
    <section
      aria-labelledby="now"
      className="border-l-4 border-ink py-1 pl-3"
      data-testid="now"
      data-step={step.key}
    >
      <h2 id="now" className="font-work text-2xl leading-8 font-bold">
        {step.text}
      </h2>
      {gate !== 'OPEN' && (
        <p className="mt-1 text-lg font-semibold text-crown">{t(`making.gate.${gate}`)}</p>
      )}
      {step.on && <p className="text-ink-2">{t('making.doneOn', { day: sayDay(step.on) })}</p>}
      <div className="mt-3 grid grid-cols-1 gap-2 sm:grid-cols-2">
        {opens && (
          <button className={`${BIG} act-main`} onClick={() => onChoose(opens.key)}>
            {t('making.againFirst')}
          </button>
        )}
        {ways.map((how, index) => (
          <button
            key={how}
            className={`${BIG} ${index === 0 && how !== 'LEFT' ? 'act-main' : ''}`}
            onClick={() => onDone(deedsOf(making, step, how))}
          >
            {t(`making.${ASKS[step.kind] ?? 'say'}.${how}`)}
          </button>
        ))}
        {canBeHers && (
          <button className={BIG} onClick={() => onDone(foundOn(making, step))}>
            {t('making.sheIsHere')}
          </button>
        )}
      </div>
      {step.kind === 'FRAME' && ways.length > 1 && (
        <Another making={making} step={step} onDone={onDone} />
      )}
    </section>
  )
}

/** Another frame of the same hive than the planned one: small changes are taken as they come. */
function Another({
  making,
  step,
  onDone,
}: {
  making: Making
  step: MakingStep
  onDone: (deeds: Deed[]) => void
}) {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  const planned = step.choices.flatMap((choice) => choice.deeds)
  const moved = planned.find((deed) => deed.kind === 'FRAMES_MOVED')
  const from = moved?.kind === 'FRAMES_MOVED' ? moved.moves[0]?.from : undefined
  const hive = from?.at === 'HIVE' ? from.hive : ''
  const stack = useQuery(stackQuery(open ? hive : '')).data ?? []
  if (!open)
    return (
      <button className="mt-3 min-h-11 underline" onClick={() => setOpen(true)}>
        {t('making.another')}
      </button>
    )
  return (
    <div className="mt-3">
      <p>{t('making.which', { hive: step.at })}</p>
      <div className="mt-1 flex flex-wrap gap-2">
        {stack
          .filter((box) => box.kind === 'BROOD')
          .flatMap((box) =>
            box.frames.map((frame) => (
              <button
                key={frame.id}
                className="act min-h-14 min-w-14"
                aria-label={t('making.takeFrame', { box: box.level, slot: frame.slot })}
                onClick={() =>
                  onDone(
                    otherwise(making, step, { frame: frame.id, box: box.id, slot: frame.slot }),
                  )
                }
              >
                {box.level === 1 ? frame.slot : `${box.level}/${frame.slot}`}
              </button>
            )),
          )}
      </div>
    </div>
  )
}

type OnDone = (label: string, deeds: Deed[]) => void

/** A new unit: what it should have had and has, and what is still to come. */
function Unit({
  making,
  unit,
  done,
  onDone,
}: {
  making: Making
  unit: MadeUnit
  done: ReadonlyMap<string, How>
  onDone: OnDone
}) {
  const { t } = useTranslation()
  const frames = making.steps.filter((step) => step.kind === 'FRAME' && step.unit === unit.code)
  const came = frames.filter((step) => done.has(step.key) && done.get(step.key) !== 'LEFT').length
  return (
    <section aria-labelledby={`unit-${unit.code}`} className="border-b border-rule py-2">
      <h3 id={`unit-${unit.code}`} className="font-bold">
        {unit.stands ? (
          <Link className="inline-block min-h-6 underline" to={`/colonies/${unit.hive}`}>
            {unit.code}
          </Link>
        ) : (
          unit.code
        )}{' '}
        <span className="font-normal text-ink-2">
          {t('making.frames', { came, planned: frames.length })}
          {unit.countedOn &&
            ` · ${t('making.counted', {
              brood: unit.broodFrames,
              bees: unit.framesOfBees,
              day: sayDay(unit.countedOn),
            })}`}
          {` · ${t('making.target', {
            brood: unit.target.broodFrames,
            bees: unit.target.framesOfBees,
          })}`}
        </span>
      </h3>
      {unit.mayHoldHer && <p className="font-semibold text-crown">{t('making.mayHoldHer')}</p>}
      {unit.ahead.map((one) => (
        <Later key={one.key} making={making} one={one} onDone={onDone} />
      ))}
    </section>
  )
}

function Later({ making, one, onDone }: { making: Making; one: LaterStep; onDone: OnDone }) {
  const { t } = useTranslation()
  const say = (how: How, deeds: readonly Deed[]) =>
    onDone(`${one.code}: ${one.text}`, [
      { kind: 'SPLIT_STEP_DONE', split: making.id, step: one.key, how },
      ...deeds,
    ])
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
      <p className="w-full">
        <strong>{saySpan(one.when)}</strong> {one.text}
      </p>
      {one.choices.length === 0 ? (
        <Link className="act" to={`/colonies/${one.hive}/read`}>
          {t('colonies.doRead')}
        </Link>
      ) : (
        one.choices.map((choice) => (
          <button
            key={choice.how}
            className="act"
            aria-label={t('making.sayLater', {
              how: t(`making.later.${choice.how}`),
              what: `${one.code}: ${one.text}`,
            })}
            onClick={() => say(choice.how, choice.deeds)}
          >
            {t(`making.later.${choice.how}`)}
          </button>
        ))
      )}
    </div>
  )
}
