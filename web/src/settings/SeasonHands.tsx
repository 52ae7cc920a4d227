import { useTranslation } from 'react-i18next'
import type { SettingsPage } from '../api/types'
import { NumberField } from '../ui/Fields'

type Hands = SettingsPage['settings']['season']
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
  return (
    <section aria-labelledby="season-hands" className="mt-6">
      <h2 id="season-hands" className="text-xl">
        {t('settings.season')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.seasonHow')}</p>
      <div className="mt-2 grid gap-3 sm:grid-cols-3">
        <NumberField
          name={t('settings.hoursADay')}
          required
          min={0.5}
          max={400}
          step={0.5}
          value={hands.hoursADay}
          onChange={(hours) => onChange({ ...hands, hoursADay: hours ?? 0.5 })}
        />
        <NumberField
          name={t('settings.cages')}
          required
          min={0}
          max={10_000}
          value={hands.cages}
          onChange={(cages) => onChange({ ...hands, cages: cages ?? 0 })}
        />
        <NumberField
          name={t('settings.assuranceUsual')}
          required
          min={50}
          max={99}
          value={Math.round(hands.assurance * 100)}
          onChange={(percent) => onChange({ ...hands, assurance: (percent ?? 50) / 100 })}
        />
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
