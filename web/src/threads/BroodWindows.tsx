import { useTranslation } from 'react-i18next'
import type { BroodBreak } from '../api/types'
import { dayNumber, sayDay } from '../time/days'

const WIDTH = 640
const LABEL = 150
const ROW = 26
const OPEN_END_DAYS = 20

type Window = BroodBreak['worker']

/** The days without sealed brood, worker and drone apart: likely days light, sure days dark. */
export function BroodWindows({ brood }: { brood: BroodBreak }) {
  const { t } = useTranslation()
  const first = dayNumber(brood.lastEgg.earliest)
  const rows = [
    ['worker', brood.worker],
    ['drone', brood.drone],
    ['none', brood.none],
  ] as const
  const ends = rows.flatMap(([, one]) => [one.likelyFrom, one.likelyUntil, one.sureUntil])
  const last = Math.max(first + 30, ...ends.flatMap((day) => (day ? [dayNumber(day)] : []))) + 3
  const x = (day: number) => LABEL + ((day - first) / (last - first)) * (WIDTH - LABEL)
  const bar = (from: string | undefined, until: string | undefined) => {
    if (!from) return undefined
    const start = dayNumber(from)
    const end = until ? dayNumber(until) + 1 : Math.min(last, start + OPEN_END_DAYS)
    return { x: x(start), width: Math.max(2, x(Math.min(end, last)) - x(start)) }
  }
  return (
    <figure className="mt-2 max-w-2xl">
      <svg viewBox={`0 0 ${WIDTH} ${rows.length * ROW + 4}`} className="w-full" aria-hidden>
        {rows.map(([key, one], at) => {
          const likely = bar(one.likelyFrom, one.likelyUntil)
          const sure = bar(one.sureFrom, one.sureUntil)
          const y = at * ROW + 4
          return (
            <g key={key}>
              <text x={0} y={y + 15} fontSize={13} fill="currentColor">
                {t(`brood.window.${key}`)}
              </text>
              <line x1={LABEL} x2={WIDTH} y1={y + 10} y2={y + 10} stroke="var(--rule)" />
              {likely && <rect {...likely} y={y} height={20} fill="currentColor" opacity={0.25} />}
              {sure && <rect {...sure} y={y + 4} height={12} fill="currentColor" />}
            </g>
          )
        })}
      </svg>
      <figcaption>
        <ul>
          {rows.map(([key, one]) => (
            <li key={key}>
              {t(`brood.window.${key}`)}: {say(one)}
            </li>
          ))}
          <li>{t('brood.cost', { least: brood.bees.least, most: brood.bees.most })}</li>
        </ul>
      </figcaption>
    </figure>
  )

  function say(one: Window) {
    if (!one.likelyFrom) return t('brood.never')
    const likely = one.likelyUntil
      ? t('brood.likely', { from: sayDay(one.likelyFrom), until: sayDay(one.likelyUntil) })
      : t('brood.likelyOpen', { from: sayDay(one.likelyFrom) })
    if (!one.sureFrom) return `${likely} ${t('brood.notSure')}`
    return `${likely} ${
      one.sureUntil
        ? t('brood.sure', { from: sayDay(one.sureFrom), until: sayDay(one.sureUntil) })
        : t('brood.sureOpen', { from: sayDay(one.sureFrom) })
    }`
  }
}
