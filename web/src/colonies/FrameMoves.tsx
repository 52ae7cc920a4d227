import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { ColonyPage, Deed, Sign, StackBox } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { sayDay } from '../time/days'
import { boxesOf } from './BoxChoice'
import { hivesQuery, stackQuery } from './queries'

type Frame = StackBox['frames'][number]
type Move = Extract<Deed, { kind: 'FRAMES_MOVED' }>['moves'][number]
type Gate = NonNullable<Move['gate']>
const GATES: Gate[] = ['SEEN_ELSEWHERE', 'BOTH_SIDES_SEARCHED', 'NO_BEES', 'NO_QUEEN']
/** One slot of one box, and the frame in it, if one hangs there. */
type Slot = { box: StackBox; slot: number; frame?: Frame }

const slotsOf = (stack: StackBox[]): Slot[] =>
  boxesOf(stack).flatMap((box) =>
    Array.from({ length: box.slots }, (_, index) => {
      const frame = box.frames.find((one) => one.slot === index + 1)
      return frame ? { box, slot: index + 1, frame } : { box, slot: index + 1 }
    }),
  )
const keyOf = ({ box, slot }: Slot) => `${box.id} ${slot}`

/**
 * Single combs followed between hives and within one: what was on them goes along, so eggs given count as eggs given. Where
 * a frame hangs in the slot they go to, the two change places.
 */
export function FrameMoves({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { colony, moves } = page
  const words = (list: Sign[]) => list.map((sign) => t(`sign.${sign}`)).join(', ')
  return (
    <section aria-labelledby="moves" className="mt-6">
      <h2 id="moves" className="text-xl">
        {t('colony.moveFrame')}
      </h2>
      {colony.stop ? (
        <p className="font-semibold text-crown">{t('colony.noMove')}</p>
      ) : (
        <MoveForm page={page} words={words} />
      )}
      {moves.length > 0 && (
        <ul aria-label={t('colony.moves')} className="mt-2 border-t border-rule">
          {moves.map((line) => (
            <li
              key={`${line.entry} ${line.frame}`}
              className="flex flex-wrap gap-x-4 border-b border-rule py-1"
              data-testid="move"
            >
              <strong className="w-24">{sayDay(line.day)}</strong>
              <span className="min-w-0 flex-1">
                {t('colony.movedLine', {
                  from: line.from
                    ? t('colony.at', { hive: line.from, slot: line.fromSlot })
                    : t('colony.off'),
                  to: line.to
                    ? t('colony.at', { hive: line.to, slot: line.toSlot })
                    : t('colony.off'),
                })}
                {line.signs.length > 0 && `: ${words(line.signs)}`}
              </span>
              <span className="text-sm text-ink-2">{line.by}</span>
              <Link
                className="inline-block min-h-8 underline"
                to={`/frames/${line.frame}`}
                aria-label={t('colony.wayLabel', { day: sayDay(line.day) })}
              >
                {t('colony.way')}
              </Link>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

function MoveForm({ page, words }: { page: ColonyPage; words: (list: Sign[]) => string }) {
  const { t } = useTranslation()
  const { colony } = page
  const { record } = useRecord()
  const hives = useQuery(hivesQuery).data ?? []
  const here = slotsOf(page.stack).filter((one) => one.frame)
  const [from, setFrom] = useState(() => (here[0] ? keyOf(here[0]) : ''))
  const [other, setOther] = useState('')
  const [to, setTo] = useState('')
  const [gate, setGate] = useState<Gate | ''>('')
  /** of the comb that comes back in exchange */
  const [back, setBack] = useState<Gate | ''>('')
  const elsewhere = useQuery(stackQuery(other === colony.id ? '' : other)).data ?? []
  const there = slotsOf(other === colony.id ? page.stack : elsewhere)
  const left = here.find((one) => keyOf(one) === from) ?? here[0]
  const free = there.find((one) => !one.frame) ?? there.at(-1)
  const goes = there.find((one) => keyOf(one) === to) ?? free
  const last = page.readings.find((one) => one.reading.sides.length > 0)
  const signs: Sign[] = [
    ...new Set(
      (last?.reading.sides ?? [])
        .filter((side) => left && side.box === left.box.level && side.slot === left.slot)
        .flatMap((one) => one.signs),
    ),
  ]
  const move = () => {
    if (!left?.frame || !goes) return
    const out = { at: 'HIVE' as const, hive: colony.id, box: left.box.id, slot: left.slot }
    const into = { at: 'HIVE' as const, hive: other, box: goes.box.id, slot: goes.slot }
    const moves: Move[] = [
      { frame: left.frame.id, from: out, to: into, signs, ...(gate ? { gate } : {}) },
    ]
    if (goes.frame)
      moves.push({
        frame: goes.frame.id,
        from: into,
        to: out,
        signs: [],
        ...(back ? { gate: back } : {}),
      })
    const code = hives.find((one) => one.id === other)?.code
    void record(`${colony.code}: ${t('colony.moved', { slot: left.slot, other: code })}`, [
      { deed: { kind: 'FRAMES_MOVED', moves } },
    ])
    setOther('')
    setTo('')
    setGate('')
    setBack('')
  }
  if (!left) return <p>{t('colony.noFrames')}</p>
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        move()
      }}
    >
      <Slots name={t('colony.moveSlot')} slots={here} value={keyOf(left)} onPick={setFrom} />
      <label>
        <span className="block text-sm text-ink-2">{t('colony.moveTo')}</span>
        <select
          className="field"
          required
          value={other}
          onChange={(event) => setOther(event.target.value)}
        >
          <option value=""></option>
          {hives.map((one) => (
            <option key={one.id} value={one.id}>
              {one.code}
            </option>
          ))}
        </select>
      </label>
      <Slots
        name={t('colony.moveSlotThere')}
        slots={there}
        value={goes ? keyOf(goes) : ''}
        onPick={setTo}
      />
      {other !== '' && other !== colony.id && (
        <GateField name={t('colony.gate')} gate={gate} onPick={setGate} />
      )}
      {other !== '' && other !== colony.id && goes?.frame && (
        <GateField
          name={t('colony.gateBack', { other: hives.find((one) => one.id === other)?.code })}
          gate={back}
          onPick={setBack}
        />
      )}
      <button className="act" disabled={other !== '' && !goes}>
        {t('colony.move')}
      </button>
      <p className="w-full text-sm text-ink-2">
        {other !== '' && other !== colony.id && gate === '' && t('colony.gateHelp')} {words(signs)}{' '}
        {goes?.frame && t('colony.exchange', { slot: goes.slot })}
      </p>
    </form>
  )
}

/** Why the queen of the hive that a comb leaves does not go along. */
function GateField({
  name,
  gate,
  onPick,
}: {
  name: string
  gate: Gate | ''
  onPick: (gate: Gate | '') => void
}) {
  const { t } = useTranslation()
  return (
    <label>
      <span className="block text-sm text-ink-2">{name}</span>
      <select
        className="field"
        required
        value={gate}
        onChange={(event) => onPick(GATES.find((one) => one === event.target.value) ?? '')}
      >
        <option value=""></option>
        {GATES.map((one) => (
          <option key={one} value={one}>
            {t(`colony.gates.${one}`)}
          </option>
        ))}
      </select>
    </label>
  )
}

function Slots({
  name,
  slots,
  value,
  onPick,
}: {
  name: string
  slots: Slot[]
  value: string
  onPick: (key: string) => void
}) {
  const { t } = useTranslation()
  const several = new Set(slots.map((one) => one.box.id)).size > 1
  return (
    <label>
      <span className="block text-sm text-ink-2">{name}</span>
      <select className="field" value={value} onChange={(event) => onPick(event.target.value)}>
        {slots.map((one) => (
          <option key={keyOf(one)} value={keyOf(one)}>
            {several ? `${t(`boxKind.${one.box.kind}`)} ${one.box.level} · ${one.slot}` : one.slot}
            {one.frame ? '' : ` ${t('colony.freeSlot')}`}
          </option>
        ))}
      </select>
    </label>
  )
}
