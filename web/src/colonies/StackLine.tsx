import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import type { ColonyPage, StackBox } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { settingsQuery } from '../settings/queries'

/** The stack from the bottom up; a box goes on top, and the topmost comes off into the store. */
export function StackLine({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [putting, setPutting] = useState(false)
  const { colony, stack } = page
  const top = stack.at(-1)
  const takeOff = (box: StackBox) =>
    void record(`${colony.code}: ${t('stack.takenOff')}`, [
      { deed: { kind: 'BOX_TAKEN_OFF', hive: colony.id, box: box.id, store: t('stack.store') } },
    ])
  return (
    <div
      className="mb-4 flex flex-wrap items-baseline gap-x-4 gap-y-2"
      aria-label={t('stack.name')}
    >
      {stack.map((box) => (
        <span key={box.id} data-testid="box">
          <strong>{t(`boxKind.${box.kind}`)}</strong>{' '}
          {box.slots > 0 &&
            t('stack.frames', { count: box.frames.length, slots: box.slots, format: box.format })}
        </span>
      ))}
      <button className="act" aria-expanded={putting} onClick={() => setPutting(!putting)}>
        {t('stack.putOn')}
      </button>
      {top && stack.length > 1 && (
        <button className="act" onClick={() => takeOff(top)}>
          {t('stack.takeOff')}
        </button>
      )}
      {putting && <PutOn page={page} onDone={() => setPutting(false)} />}
    </div>
  )
}

const KINDS = ['HONEY', 'BROOD', 'EXCLUDER', 'FEEDER', 'LID'] as const

function PutOn({ page, onDone }: { page: ColonyPage; onDone: () => void }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const { colony, stack } = page
  const formats = Object.keys(useQuery(settingsQuery).data?.formats ?? {})
  const [kind, setKind] = useState<(typeof KINDS)[number]>('HONEY')
  const [format, setFormat] = useState(colony.format)
  const [slots, setSlots] = useState(colony.frames || 10)
  const [frames, setFrames] = useState(colony.frames || 10)
  const holds = kind === 'HONEY' || kind === 'BROOD'
  const putOn = () => {
    const box = holds
      ? { id: uuidv7(), kind, format, slots, frames: Math.min(frames, slots) }
      : { id: uuidv7(), kind, format: '', slots: 0, frames: 0 }
    void record(`${colony.code}: ${t('stack.put', { what: t(`boxKind.${kind}`) })}`, [
      { deed: { kind: 'BOX_PUT_ON', hive: colony.id, box, level: stack.length + 1 } },
    ])
    onDone()
  }
  const number = (name: string, value: number, least: number, onPick: (count: number) => void) => (
    <label>
      <span className="block text-sm text-ink-2">{t(`stack.${name}`)}</span>
      <input
        className="field w-24"
        type="number"
        min={least}
        max={24}
        value={value}
        required
        onChange={(event) => onPick(Number(event.target.value))}
      />
    </label>
  )
  return (
    <form
      className="flex w-full flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        putOn()
      }}
    >
      <label>
        <span className="block text-sm text-ink-2">{t('stack.what')}</span>
        <select
          className="field"
          value={kind}
          onChange={(event) => setKind(event.target.value as typeof kind)}
        >
          {KINDS.map((one) => (
            <option key={one} value={one}>
              {t(`boxKind.${one}`)}
            </option>
          ))}
        </select>
      </label>
      {holds && (
        <>
          <label>
            <span className="block text-sm text-ink-2">{t('setUp.format')}</span>
            <select
              className="field"
              value={format}
              onChange={(event) => setFormat(event.target.value)}
            >
              {[...new Set([colony.format, ...formats])].map((one) => (
                <option key={one}>{one}</option>
              ))}
            </select>
          </label>
          {number('slots', slots, 1, setSlots)}
          {number('framesIn', frames, 0, setFrames)}
        </>
      )}
      <button className="act act-main">{t('stack.putOnTop')}</button>
    </form>
  )
}
