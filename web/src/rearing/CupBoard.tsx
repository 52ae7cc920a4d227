import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import type { Queen } from '../api/types'

/** The bars with their cups, as they hang; each cup a target of its own. */
export function CupBoard(props: {
  cups: Queen[]
  pressed: (cup: Queen) => boolean
  enabled: (cup: Queen) => boolean
  word: (cup: Queen) => ReactNode
  onCup: (cup: Queen, withShift: boolean) => void
}) {
  const { t } = useTranslation()
  const bars = [...new Set(props.cups.map((cup) => cup.bar))]
  return (
    <div className="space-y-4">
      {bars.map((bar) => (
        <fieldset key={bar}>
          <legend className="mb-1 text-sm text-ink-2">{t('graft.bar', { bar })}</legend>
          <div className="grid grid-cols-5 gap-1.5 sm:grid-cols-8 lg:grid-cols-[repeat(15,minmax(2.6rem,1fr))]">
            {props.cups
              .filter((cup) => cup.bar === bar)
              .map((cup) => {
                const on = props.pressed(cup)
                return (
                  <button
                    key={cup.id}
                    className={`min-h-13 rounded border-[1.5px] px-0.5 leading-tight ${
                      on ? 'border-ink bg-ink text-paper' : 'border-ink-3 bg-sheet'
                    } ${props.enabled(cup) ? '' : 'border-dashed text-ink-3'}`}
                    aria-pressed={on}
                    aria-disabled={!props.enabled(cup)}
                    aria-label={t('graft.cupSays', {
                      bar: cup.bar,
                      cup: cup.cup,
                      stage: cup.stageText,
                    })}
                    onClick={(event) => props.enabled(cup) && props.onCup(cup, event.shiftKey)}
                  >
                    <span className="block font-bold">{cup.cup}</span>
                    <span className="block text-[0.68rem]">{props.word(cup)}</span>
                  </button>
                )
              })}
          </div>
        </fieldset>
      ))}
    </div>
  )
}
