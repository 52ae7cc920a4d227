import { useTranslation } from 'react-i18next'
import type { SettingsPage } from '../api/types'

type Hands = SettingsPage['hands']
type Weekday = Hands['daysOff'][number]

const WEEKDAYS: Weekday[] = [
  'MONDAY',
  'TUESDAY',
  'WEDNESDAY',
  'THURSDAY',
  'FRIDAY',
  'SATURDAY',
  'SUNDAY',
]

/** What a season's plan may reckon with: hours, days off, incubator, assurance. */
export function SeasonHands({
  hands,
  onChange,
}: {
  hands: Hands
  onChange: (next: Hands) => void
}) {
  const { t } = useTranslation()
  const number = (key: 'hoursADay' | 'cages', max: number) => (
    <label>
      <span className="block text-sm text-ink-2">{t(`settings.${key}`)}</span>
      <input
        className="field"
        type="number"
        min={0}
        max={max}
        step={key === 'hoursADay' ? 0.5 : 1}
        required
        value={hands[key]}
        onChange={(event) => onChange({ ...hands, [key]: Number(event.target.value) })}
      />
    </label>
  )
  return (
    <section aria-labelledby="season-hands" className="mt-6">
      <h2 id="season-hands" className="text-xl">
        {t('settings.season')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.seasonHow')}</p>
      <div className="mt-2 grid gap-3 sm:grid-cols-3">
        {number('hoursADay', 400)}
        {number('cages', 10_000)}
        <label>
          <span className="block text-sm text-ink-2">{t('settings.assuranceUsual')}</span>
          <input
            className="field"
            type="number"
            min={50}
            max={99}
            required
            value={Math.round(hands.assurance * 100)}
            onChange={(event) =>
              onChange({ ...hands, assurance: Number(event.target.value) / 100 })
            }
          />
        </label>
      </div>
      <fieldset className="mt-3 flex flex-wrap gap-x-5 gap-y-1">
        <legend className="text-sm text-ink-2">{t('settings.daysOff')}</legend>
        {WEEKDAYS.map((day) => (
          <label key={day} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={hands.daysOff.includes(day)}
              onChange={(event) =>
                onChange({
                  ...hands,
                  daysOff: event.target.checked
                    ? [...hands.daysOff, day]
                    : hands.daysOff.filter((one) => one !== day),
                })
              }
            />
            {t(`settings.weekday.${day}`)}
          </label>
        ))}
      </fieldset>
    </section>
  )
}
