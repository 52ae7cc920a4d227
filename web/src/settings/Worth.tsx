import { useTranslation } from 'react-i18next'
import type { Settings } from '../api/types'
import { NumberField } from '../ui/Fields'

type Minutes = NonNullable<Settings['worth']>

const USUAL: Minutes = { lateQueen: 60, lateOrder: 2400, wastedQueen: 20, nucDay: 0.2 }
const FIELDS = ['lateQueen', 'lateOrder', 'wastedQueen', 'nucDay'] as const

/** What a queen missing and a queen over are worth to this operation, in hours of its work. */
export function Worth({
  worth,
  setWorth,
}: {
  worth: Minutes | undefined
  setWorth: (next: Minutes | undefined) => void
}) {
  const { t } = useTranslation()
  const now = worth ?? USUAL
  return (
    <section className="mt-6" aria-labelledby="worth">
      <h2 id="worth" className="text-xl">
        {t('settings.worth')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.worthHow')}</p>
      <div className="mt-2 grid max-w-3xl grid-cols-2 items-end gap-3 md:grid-cols-4">
        {FIELDS.map((one) => (
          <NumberField
            key={one}
            name={t(`settings.worths.${one}`)}
            min={0}
            max={1_000}
            step={0.001}
            value={Math.round((now[one] / 60) * 1000) / 1000}
            onChange={(hours) =>
              setWorth({ ...now, [one]: hours === undefined ? USUAL[one] : hours * 60 })
            }
          />
        ))}
        {worth && (
          <button type="button" className="act" onClick={() => setWorth(undefined)}>
            {t('settings.worthUsual')}
          </button>
        )}
      </div>
    </section>
  )
}
