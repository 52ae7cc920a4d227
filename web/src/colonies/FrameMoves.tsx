import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { ColonyPage, Sign } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { sayDay } from '../time/days'
import { coloniesQuery } from './queries'

const placesOf = (frames: number) => Array.from({ length: frames }, (_, index) => index + 1)

/** Single combs followed between hives: what was on them goes along, so eggs given count as eggs given. */
export function FrameMoves({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { colony, moves } = page
  const { record } = useRecord()
  const others = (useQuery(coloniesQuery).data ?? []).filter((one) => one.id !== colony.id)
  const [slot, setSlot] = useState(1)
  const [other, setOther] = useState('')
  const [there, setThere] = useState(1)
  const to = others.find((one) => one.id === other)
  const last = page.readings.find((one) => (one.reading.frames?.length ?? 0) > 0)
  const signs: Sign[] = [
    ...new Set(
      (last?.reading.frames ?? []).filter((side) => side.slot === slot).flatMap((one) => one.signs),
    ),
  ]
  const words = (list: Sign[]) => list.map((sign) => t(`sign.${sign}`)).join(', ')
  const move = () => {
    if (!to) return
    void record(`${colony.code}: ${t('colony.moved', { slot, other: to.code })}`, [
      {
        subjectKind: 'COLONY',
        subjectId: colony.id,
        kind: 'FRAME_TAKEN',
        detail: { colony: { slot, other: to.id, signs } },
      },
      {
        subjectKind: 'COLONY',
        subjectId: to.id,
        kind: 'FRAME_GIVEN',
        detail: { colony: { slot: there, other: colony.id, signs } },
      },
    ])
    setOther('')
  }
  return (
    <section aria-labelledby="moves" className="mt-6">
      <h2 id="moves" className="text-xl">
        {t('colony.moveFrame')}
      </h2>
      {colony.stop ? (
        <p className="font-semibold text-crown">{t('colony.noMove')}</p>
      ) : (
        <form
          className="mt-1 flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault()
            move()
          }}
        >
          <Places
            name={t('colony.moveSlot')}
            frames={colony.frames}
            value={slot}
            onPick={setSlot}
          />
          <label>
            <span className="block text-sm text-ink-2">{t('colony.moveTo')}</span>
            <select
              className="field"
              required
              value={other}
              onChange={(event) => setOther(event.target.value)}
            >
              <option value=""></option>
              {others.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.code}
                </option>
              ))}
            </select>
          </label>
          <Places
            name={t('colony.moveSlotThere')}
            frames={to?.frames ?? colony.frames}
            value={there}
            onPick={setThere}
          />
          <button className="act">{t('colony.move')}</button>
          <p className="w-full text-sm text-ink-2">{words(signs)}</p>
        </form>
      )}
      {moves.length > 0 && (
        <ul aria-label={t('colony.moves')} className="mt-2 border-t border-rule">
          {moves.map((line) => (
            <li
              key={line.entry}
              className="flex flex-wrap gap-x-4 border-b border-rule py-1"
              data-testid="move"
            >
              <strong className="w-24">{sayDay(line.day)}</strong>
              <span className="min-w-0 flex-1">
                {t(line.came ? 'colony.came' : 'colony.moved', line)}
                {line.signs.length > 0 && `: ${words(line.signs)}`}
              </span>
              <span className="text-sm text-ink-2">{line.by}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

function Places({
  name,
  frames,
  value,
  onPick,
}: {
  name: string
  frames: number
  value: number
  onPick: (slot: number) => void
}) {
  return (
    <label>
      <span className="block text-sm text-ink-2">{name}</span>
      <select
        className="field"
        value={value}
        onChange={(event) => onPick(Number(event.target.value))}
      >
        {placesOf(frames).map((one) => (
          <option key={one}>{one}</option>
        ))}
      </select>
    </label>
  )
}
