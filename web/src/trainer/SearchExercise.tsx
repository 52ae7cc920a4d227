import { useQuery } from '@tanstack/react-query'
import { Fragment, useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useKey } from '../app/keys'
import { BoxFromAbove } from '../colonies/BoxFromAbove'
import type { PlaceAt } from '../colonies/search'
import { Findings } from '../ui/Page'
import type { QueenLook } from './draw/bees'
import { CombView } from './draw/CombView'
import { Wide } from './draw/Moving'
import {
  actsOf,
  liftsOf,
  looksAt,
  MOST_LOOKS,
  placesOf,
  readSides,
  sameComb,
  seesHer,
  type Doing,
} from './hive'
import { lookAt, type Seen, type TrainerHive } from './queries'

const BOX_HEIGHT = 90
const NINTHS = [1, 2, 3, 4, 5, 6, 7, 8, 9]
const ROBBED_UNREST = 2.2

type Props = {
  doing: Doing
  words: boolean
  sending: boolean
  onChange: (next: Doing) => void
  onDone: (whole: Doing) => void
}

/** Searching a made-up hive: choose a comb, lift it, look at both sides, point at her. */
export function SearchExercise(props: Props) {
  const hive = props.doing.exercise.hive
  return hive ? <Searching {...props} hive={hive} /> : null
}

function Searching({
  doing,
  words,
  sending,
  onChange,
  onDone,
  hive,
}: Props & { hive: TrainerHive }) {
  const { t } = useTranslation()
  const places = placesOf(hive)
  const last = doing.looks.at(-1)
  const [chosen, setChosen] = useState<PlaceAt>(
    last?.place ?? places.find((place) => place.kind === 'COMB') ?? { kind: 'LID' },
  )
  // what is being looked at keeps its time: it is only over when the next begins
  const at = useRef(Date.now())
  const [told, setTold] = useState<string>()
  const { exercise } = doing.exercise
  const seen = useQuery({
    queryKey: ['trainer-look', doing.id, JSON.stringify(doing.looks)],
    queryFn: () => lookAt(exercise, actsOf(doing)),
    enabled: doing.looks.length > 0,
    staleTime: Infinity,
    // of no use once the next look is done
    gcTime: 60_000,
    retry: 1,
  })

  const look = (place: PlaceAt) => {
    if (sending || over) return
    if (doing.looks.length >= MOST_LOOKS) {
      setTold(t('train.find.enough'))
      return
    }
    const now = Date.now()
    onChange(looksAt(doing, place, at.current, now))
    at.current = now
    setTold(undefined)
  }
  const lift = () => look(chosen.kind === 'COMB' ? { ...chosen, side: 'NEAR' } : chosen)
  const turn = () => {
    if (last?.place.kind === 'COMB')
      look({ ...last.place, side: last.place.side === 'NEAR' ? 'FAR' : 'NEAR' })
  }
  const point = (isHer: boolean) => {
    if (sending || over || !last) return
    if (isHer) {
      onDone(seesHer(doing))
    } else {
      onChange({ ...doing, beside: doing.beside + 1 })
      setTold(t('train.notHer'))
    }
  }
  const go = (by: number) => {
    const nth = places.findIndex((place) => sameComb(place, chosen))
    const next = places[Math.min(places.length - 1, Math.max(0, nth + by))]
    if (next) setChosen(next)
  }
  const end = () => onDone(doing)
  const { left, over } = useTime(doing, hive.minutes, sending, end)
  useKey('ArrowRight', () => go(1))
  useKey('ArrowLeft', () => go(-1))
  useKey('l', lift)
  useKey('v', turn)
  useKey('x', end)

  const say = (place: PlaceAt) =>
    t(`find.at.${place.kind ?? 'COMB'}`, {
      slot: place.slot,
      box: place.box,
      side: place.side ? t(`find.of.${place.side}`) : '',
      context: hive.boxes.length > 1 ? 'boxes' : undefined,
    })
  return (
    <>
      <p className="mb-2 font-read text-xl" data-testid="lead">
        {t('train.find.who', {
          who: t(`train.find.${doing.exercise.exercise.skill}`),
          season: t(`train.seasons.${hive.season}`),
          days: hive.readDays,
        })}{' '}
        {!hive.trail && t('train.find.noTrail')}{' '}
        {left !== undefined && (
          <strong className="text-crown" role="timer" data-testid="left">
            {over
              ? t('train.find.over')
              : t('train.find.left', {
                  minutes: Math.floor(left / 60),
                  seconds: String(left % 60).padStart(2, '0'),
                })}
          </strong>
        )}
      </p>
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <section aria-label={t('train.find.inHand')} className="min-w-0">
          <h2 className="mb-2 text-xl" data-testid="side" role="status">
            {last ? say(last.place) : t('train.find.nothingYet')}
          </h2>
          {last && seen.data && (
            <Side
              seen={seen.data}
              doing={doing}
              words={words}
              name={say(last.place)}
              onPoint={point}
            />
          )}
          {last && seen.isPending && <p role="status">{t('connection.loading')}</p>}
          <Findings error={seen.error} />
          <p role="status" className="mt-1 min-h-6 font-semibold">
            {told}
          </p>
          {last?.place.kind === 'COMB' && (
            <button className="act act-main" aria-keyshortcuts="v" onClick={turn}>
              {t('train.find.turn')} <span aria-hidden>(v)</span>
            </button>
          )}
        </section>
        <section aria-label={t('train.find.hive')}>
          <p className="mb-2 text-sm text-ink-2">
            {t('train.find.lifts', { count: liftsOf(doing.looks) })}
          </p>
          <Stack
            hive={hive}
            looks={doing.looks.map((one) => one.place)}
            chosen={chosen}
            onChoose={setChosen}
          />
          <div className="mt-3 flex flex-wrap gap-2">
            <button className="act act-main" aria-keyshortcuts="l" onClick={lift}>
              {chosen.kind === 'COMB'
                ? t('train.find.lift', {
                    slot: chosen.slot,
                    box: chosen.box,
                    context: hive.boxes.length > 1 ? 'boxes' : undefined,
                  })
                : t('train.find.look', { what: say(chosen) })}{' '}
              <span aria-hidden>(l)</span>
            </button>
            <button className="act" aria-keyshortcuts="x" disabled={sending} onClick={end}>
              {t('train.find.close')} <span aria-hidden>(x)</span>
            </button>
          </div>
          <p className="mt-3 text-sm text-ink-2">{t('train.find.keys')}</p>
        </section>
      </div>
    </>
  )
}

/** Counts down where there is little time; when it is over the hive is shut. */
function useTime(
  doing: Doing,
  minutes: number | undefined,
  sending: boolean,
  end: () => void,
): { left: number | undefined; over: boolean } {
  const [now, setNow] = useState(Date.now)
  const left =
    minutes === undefined
      ? undefined
      : Math.max(0, Math.ceil((doing.begunAt + minutes * 60_000 - now) / 1000))
  useEffect(() => {
    if (minutes === undefined) return undefined
    const timer = setInterval(() => setNow(Date.now()), 500)
    return () => clearInterval(timer)
  }, [minutes])
  const over = left === 0
  const ended = useRef(false)
  useEffect(() => {
    if (!over || sending || ended.current) return
    ended.current = true
    end()
  }, [end, over, sending])
  return { left, over }
}

const looksOf = (skill: Doing['exercise']['exercise']['skill']): QueenLook => {
  switch (skill) {
    case 'FIND_VIRGIN':
      return 'VIRGIN'
    case 'FIND_OLD':
      return 'OLD'
    case 'FIND_RUNNER':
      return 'RUNNER'
    default:
      return 'LAYING'
  }
}

function Side({
  seen,
  doing,
  words,
  name,
  onPoint,
}: {
  seen: Seen
  doing: Doing
  words: boolean
  name: string
  onPoint: (isHer: boolean) => void
}) {
  const { t } = useTranslation()
  const { skill, level, season, seed } = doing.exercise.exercise
  const pointing = useRef<(ninth: number) => void>(undefined)
  if (words) return <InWords seen={seen} onPoint={onPoint} />
  return (
    <>
      <Wide>
        <CombView
          name={name}
          seen={seen}
          seed={((seed ?? 0) + 31 * doing.looks.length) % 1e9}
          queen={looksOf(skill)}
          drones={season === 'SUMMER' && (level ?? 1) > 1}
          unrest={skill === 'FIND_ROBBING' ? ROBBED_UNREST : 1}
          pointing={pointing}
          onPoint={onPoint}
        />
      </Wide>
      {NINTHS.map((ninth) => (
        <NinthKey key={ninth} ninth={ninth} onPress={() => pointing.current?.(ninth)} />
      ))}
      <p className="mt-1 text-sm text-ink-2">{t('train.find.point')}</p>
    </>
  )
}

function NinthKey({ ninth, onPress }: { ninth: number; onPress: () => void }) {
  useKey(String(ninth), onPress)
  return null
}

/** What stands there, told; she is noticed as often as practised eyes would notice her. */
function InWords({ seen, onPoint }: { seen: Seen; onPoint: (isHer: boolean) => void }) {
  const { t } = useTranslation()
  const here = () => seen.noticed && onPoint(true)
  useKey('h', here)
  return (
    <div role="status" data-testid="words">
      <ul className="list-disc pl-5 text-lg">
        {seen.said.map((one) => (
          <li key={one}>{one}</li>
        ))}
        <li className="font-semibold">
          {t(seen.noticed ? 'train.find.noticed' : 'train.find.onlyBees')}
        </li>
      </ul>
      {seen.noticed && (
        <button className="act act-main my-2" aria-keyshortcuts="h" onClick={here}>
          {t('find.sheIsHere')} <span aria-hidden>(h)</span>
        </button>
      )}
    </div>
  )
}

/** The stack as one looks down on it, box by box, with what stood on the combs when they were read. */
function Stack({
  hive,
  looks,
  chosen,
  onChoose,
}: {
  hive: TrainerHive
  looks: PlaceAt[]
  chosen: PlaceAt
  onChoose: (place: PlaceAt) => void
}) {
  const { t } = useTranslation()
  const other = (place: PlaceAt, name: string) => (
    <button
      className={`act ${looks.some((one) => sameComb(one, place)) ? 'text-ink-2' : ''}`}
      aria-pressed={sameComb(place, chosen)}
      onClick={() => onChoose(place)}
    >
      {name}
    </button>
  )
  return (
    <>
      {hive.boxes
        .map((box, index) => ({ box, number: index + 1 }))
        .reverse()
        .map(({ box, number }) => (
          <div key={number} className="my-2">
            <BoxFromAbove
              box={number}
              slots={box.slots}
              hanging={new Set(box.combs.map((comb) => comb.slot))}
              sides={readSides(hive, number)}
              height={BOX_HEIGHT}
              name={t(box.honey ? 'find.honeyBox' : 'find.box', { box: number })}
              selected={
                chosen.kind === 'COMB' && (chosen.box ?? 1) === number && chosen.slot
                  ? { slot: chosen.slot, side: chosen.side ?? 'NEAR' }
                  : undefined
              }
              onSelect={(slot) =>
                box.combs.some((comb) => comb.slot === slot) &&
                onChoose({ kind: 'COMB', box: number, slot, side: 'NEAR' })
              }
            />
            <p className="text-sm text-ink-2">
              {t('train.find.seenCombs', {
                combs:
                  [
                    ...new Set(
                      looks
                        .filter((one) => one.kind === 'COMB' && (one.box ?? 1) === number)
                        .map((one) => one.slot),
                    ),
                  ].join(', ') || t('train.find.none'),
              })}
            </p>
          </div>
        ))}
      <div className="flex flex-wrap gap-2">
        {other({ kind: 'LID' }, t('train.find.lid'))}
        {hive.boxes.map((_, index) => (
          <Fragment key={index}>
            {other(
              { kind: 'WALLS', box: index + 1 },
              t('train.find.walls', {
                box: index + 1,
                context: hive.boxes.length > 1 ? 'boxes' : undefined,
              }),
            )}
          </Fragment>
        ))}
        {other({ kind: 'FLOOR' }, t('train.find.floor'))}
      </div>
    </>
  )
}
