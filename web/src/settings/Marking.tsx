import { useTranslation } from 'react-i18next'
import type { Settings } from '../api/types'
import { CODE, COLOURS } from '../queens/colours'
import { ChoiceField } from '../ui/Fields'

/** Which colour the queens of a year wear. */
export function Marking({
  marking,
  setMarking,
}: {
  marking: Settings['marking']
  setMarking: (next: Settings['marking']) => void
}) {
  const { t } = useTranslation()
  return (
    <section aria-labelledby="marking">
      <h2 id="marking" className="text-xl">
        {t('settings.marking')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.markingHow')}</p>
      <div className="mt-2 flex flex-wrap gap-3">
        {marking.map((colour, index) => (
          <ChoiceField
            key={index}
            name={t(`settings.years.${index}`)}
            value={colour}
            choices={COLOURS}
            say={(one) => t(`colour.${one}`)}
            onChange={(next) => setMarking(marking.with(index, next))}
          />
        ))}
        <button type="button" className="act self-end" onClick={() => setMarking([...CODE])}>
          {t('settings.international')}
        </button>
        {marking.length > 0 && (
          <button type="button" className="act self-end" onClick={() => setMarking([])}>
            {t('settings.noYears')}
          </button>
        )}
        {marking.length === 0 && <p>{t('settings.noYearsSaid')}</p>}
      </div>
    </section>
  )
}
