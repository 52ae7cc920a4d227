import { useTranslation } from 'react-i18next'
import type { BroodBreak } from '../api/types'
import { dayNumber, sayDay } from '../time/days'

const WIDTH = 100
const HEIGHT = 20
const OPEN_END_DAYS = 20

type Window = BroodBreak['worker']

/** The same where it is not the first thing to know, with what the days can be used for. */
export function FoldedBroodWindows({ brood }: { brood: BroodBreak }) {
  const { t } = useTranslation()
  return (
    <details>
      <summary className="inline-block min-h-11 font-read text-xl underline decoration-dotted underline-offset-4">
        {t('splits.windows')}
      </summary>
      <BroodWindows brood={brood} />
      <BroodActs brood={brood} />
    </details>
  )
}

/** What the days without sealed brood can be used for, and what to mind. */
export function BroodActs({ brood }: { brood: BroodBreak }) {
  return (
    <ul className="text-sm">
      {[...brood.acts, ...brood.cautions].map((one) => (
        <li key={one}>{one}</li>
      ))}
    </ul>
  )
}

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
  const x = (day: number) => ((day - first) / (last - first)) * WIDTH
  const bar = (from: string | undefined, until: string | undefined) => {
    if (!from) return undefined
    const start = dayNumber(from)
    const end = until ? dayNumber(until) + 1 : Math.min(last, start + OPEN_END_DAYS)
    return { x: x(start), width: Math.max(0.5, x(Math.min(end, last)) - x(start)) }
  }
  return (
    <ul className="mt-2 max-w-2xl">
      {rows.map(([key, one]) => {
        const likely = bar(one.likelyFrom, one.likelyUntil)
        const sure = bar(one.sureFrom, one.sureUntil)
        return (
          <li key={key} className="border-b border-rule py-1">
            <strong>{t(`brood.window.${key}`)}</strong>
            <svg
              viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
              preserveAspectRatio="none"
              className="block h-5 w-full"
              aria-hidden
            >
              <rect x={0} y={HEIGHT / 2} width={WIDTH} height={1} fill="var(--rule)" />
              {likely && (
                <rect {...likely} y={0} height={HEIGHT} fill="currentColor" opacity={0.25} />
              )}
              {sure && <rect {...sure} y={4} height={HEIGHT - 8} fill="currentColor" />}
            </svg>
            <span className="text-sm">{say(one)}</span>
          </li>
        )
      })}
      <li className="py-1">
        {t('brood.cost', { least: brood.bees.least, most: brood.bees.most })}
      </li>
    </ul>
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
