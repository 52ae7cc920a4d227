import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { addedCell, LOOKS, PLACES, type Draft } from './reading'

/** Days from the egg, as the keeper would say by eye. */
const GUESSES = Array.from({ length: 17 }, (_, day) => day)

/** Queen cells: choose where they hang, then one tap a cell. */
export function CellsPad({ draft, onChange }: { draft: Draft; onChange: (next: Draft) => void }) {
  const { t } = useTranslation()
  const [place, setPlace] = useState<(typeof PLACES)[number]>('BOTTOM_EDGE')
  const [guess, setGuess] = useState('')
  return (
    <section aria-labelledby="cells-pad" className="mt-5">
      <h2 id="cells-pad" className="text-xl">
        {t('read.cells')}
      </h2>
      <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label={t('read.where')}>
        {PLACES.map((one) => (
          <button
            key={one}
            className={`act ${one === place ? 'act-main' : ''}`}
            aria-pressed={one === place}
            onClick={() => setPlace(one)}
          >
            {t(`combPlace.${one}`)}
          </button>
        ))}
      </div>
      <label className="mt-2 block">
        <span className="mr-2 text-sm text-ink-2">{t('read.guess')}</span>
        <select
          className="field min-h-12 w-auto"
          value={guess}
          onChange={(event) => setGuess(event.target.value)}
        >
          <option value="">{t('read.notGuessed')}</option>
          {GUESSES.map((days) => (
            <option key={days}>{days}</option>
          ))}
        </select>
      </label>
      <div className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4 xl:grid-cols-6">
        {LOOKS.map((look) => (
          <button
            key={look}
            className="min-h-14 rounded-md border-2 border-ink-3 px-3 py-1 text-left leading-5"
            data-look={look}
            onClick={() =>
              onChange(addedCell(draft, look, place, guess === '' ? undefined : Number(guess)))
            }
          >
            {t(`cellLook.${look}`)}
          </button>
        ))}
      </div>
      <ul className="mt-2">
        {draft.cells.map((cell) => (
          <li
            key={`${cell.look}${cell.place}${cell.guessedDays}`}
            className="flex items-center gap-3"
          >
            {cell.count} × {t(`cellLook.${cell.look}`)}
            {cell.guessedDays !== undefined &&
              ` (${t('read.guessed', { count: cell.guessedDays })})`}
            {cell.place !== 'NOT_RECORDED' && `, ${t(`combPlace.${cell.place}`)}`}
            <button
              className="min-h-8 underline"
              onClick={() =>
                onChange({ ...draft, cells: draft.cells.filter((one) => one !== cell) })
              }
            >
              {t('read.takeAway')}
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
