import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { GraftPage, Queen } from '../api/types'
import { useFreeHives } from '../colonies/pending'
import { useRecord, type Tap } from '../outbox/useRecord'
import { CupBoard } from './CupBoard'
import { pairUp, toggled, withRange } from './range'

const PLACES = ['BETWEEN_BROOD', 'BESIDE_BROOD', 'ON_HONEY'] as const
type Place = (typeof PLACES)[number]

/** Ripe cells, and virgins from cages, into nucs or cages: choose cells, choose where to begin, one act. */
export function PlacePad({ page }: { page: GraftPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const free = useFreeHives()
  const { graft, cups } = page
  const live = (cup: Queen) => cup.alive && cup.stage !== 'GRAFTED' && !cup.hiveId
  const ready = cups.filter(live)
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set())
  const [lastCup, setLastCup] = useState('')
  const [fromHive, setFromHive] = useState('')
  const [place, setPlace] = useState<Place>('BETWEEN_BROOD')
  const [fromCage, setFromCage] = useState(1)
  const [howMany, setHowMany] = useState('')

  const chosen = ready.filter((cup) => selected.has(cup.id))
  const pairs = pairUp(chosen, free, fromHive)
  const last = pairs.at(-1)?.[1]

  const keep = async (label: string, taps: Tap[], placed: Queen[]) => {
    const everyOnePlaced = ready.every((cup) => placed.includes(cup))
    const step =
      graft.placing === 'CELLS_TO_NUCS' ? ('PLACE_CELLS' as const) : ('CAGE_CELLS' as const)
    const done: Tap = { deed: { kind: 'GRAFT_STEP_DONE', graft: graft.id, step } }
    await record(label, everyOnePlaced && !graft.stepsDone.includes(step) ? [...taps, done] : taps)
    setSelected(new Set())
    setFromHive('')
  }
  const toHives = () =>
    keep(
      t('graft.placed', { count: pairs.length, code: graft.code }),
      pairs.map(([cup, hive]) => ({
        deed: {
          kind: 'QUEEN_PLACED',
          queen: cup.id,
          hive: hive.id,
          given: cup.stage === 'VIRGIN' ? 'VIRGIN' : 'CELL',
          place,
          besideAnother: false,
        },
      })),
      pairs.map(([cup]) => cup),
    )
  const toCages = () =>
    keep(
      t('graft.caged', { count: chosen.length, code: graft.code }),
      chosen.map((cup, index) => ({
        deed: { kind: 'CELL_CAGED', queen: cup.id, cage: fromCage + index },
      })),
      chosen,
    )

  if (ready.length === 0) return <p className="font-read text-lg">{t('graft.noneLeft')}</p>
  return (
    <>
      <p className="mb-3">{t('graft.placeHow')}</p>
      <CupBoard
        cups={ready}
        pressed={(cup) => selected.has(cup.id)}
        enabled={() => true}
        word={(cup) =>
          cup.cage
            ? t('graft.cageNumber', { cage: cup.cage })
            : cup.stage === 'VIRGIN'
              ? t('graft.virgin')
              : t('graft.cell')
        }
        onCup={(cup, withShift) => {
          setSelected(
            withShift && lastCup
              ? withRange(
                  selected,
                  ready.map((one) => one.id),
                  lastCup,
                  cup.id,
                )
              : toggled(selected, cup.id),
          )
          setLastCup(cup.id)
        }}
      />
      <form
        className="mt-4 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          setSelected(new Set(ready.slice(0, Number(howMany)).map((cup) => cup.id)))
        }}
      >
        <label>
          <span className="block text-sm text-ink-2">
            {t('graft.howMany', { count: ready.length })}
          </span>
          <input
            className="field w-28"
            type="number"
            min={1}
            max={ready.length}
            value={howMany}
            onChange={(event) => setHowMany(event.target.value)}
            required
          />
        </label>
        <button className="act">{t('graft.choose')}</button>
        <button
          type="button"
          className="act"
          onClick={() => setSelected(new Set(ready.map((cup) => cup.id)))}
        >
          {t('graft.chooseAll')}
        </button>
      </form>
      <div className="mt-5 grid gap-5 sm:grid-cols-2">
        <section className="border-t-2 border-ink pt-2" aria-labelledby="to-nucs">
          <h3 id="to-nucs" className="text-lg">
            {t('graft.toHives')}
          </h3>
          <label className="mt-2 block">
            <span className="block text-sm text-ink-2">
              {t('graft.fromHive', { count: free.length })}
            </span>
            <select
              className="field"
              value={fromHive}
              onChange={(event) => setFromHive(event.target.value)}
            >
              <option value="">
                {free[0] ? t('graft.nextFree', { hive: free[0].code }) : t('graft.noFree')}
              </option>
              {free.map((hive) => (
                <option key={hive.id} value={hive.id}>
                  {hive.code} · {hive.yard}
                </option>
              ))}
            </select>
          </label>
          <label className="mt-2 block">
            <span className="block text-sm text-ink-2">{t('cellPlace.label')}</span>
            <select
              className="field"
              value={place}
              onChange={(event) => setPlace(event.target.value as Place)}
            >
              {PLACES.map((one) => (
                <option key={one} value={one}>
                  {t(`cellPlace.${one}`)}
                </option>
              ))}
            </select>
          </label>
          {place !== 'BETWEEN_BROOD' && (
            <p className="mt-2 font-semibold text-crown">{t('cellPlace.cold')}</p>
          )}
          <button
            className="act act-main mt-3"
            disabled={pairs.length === 0}
            onClick={() => void toHives()}
          >
            {pairs.length === 0
              ? t('graft.chooseFirst')
              : t('graft.place', {
                  count: pairs.length,
                  first: pairs[0]?.[1].code,
                  last: last?.code,
                })}
          </button>
          {chosen.length > pairs.length && (
            <p role="alert" className="mt-2 font-semibold text-crown">
              {t('graft.tooFewNucs', { nucs: pairs.length, count: chosen.length })}
            </p>
          )}
        </section>
        <section className="border-t-2 border-ink pt-2" aria-labelledby="to-cages">
          <h3 id="to-cages" className="text-lg">
            {t('graft.toCages')}
          </h3>
          <label className="mt-2 block">
            <span className="block text-sm text-ink-2">{t('graft.fromCage')}</span>
            <input
              className="field"
              type="number"
              min={1}
              value={fromCage}
              onChange={(event) => setFromCage(Math.max(1, Number(event.target.value)))}
            />
          </label>
          <button
            className="act mt-3"
            disabled={chosen.length === 0}
            onClick={() => void toCages()}
          >
            {chosen.length === 0
              ? t('graft.chooseFirst')
              : t('graft.intoCages', {
                  count: chosen.length,
                  first: fromCage,
                  last: fromCage + chosen.length - 1,
                })}
          </button>
        </section>
      </div>
    </>
  )
}
