import { useTranslation } from 'react-i18next'
import type { Settings } from '../api/types'
import { USUAL_SCALE } from '../lineage/merit'
import { NumberField } from '../ui/Fields'

type Scale = NonNullable<Settings['scale']>

/** On which scale colonies are marked; the best is always the highest. */
export function OwnScale({
  scale,
  setScale,
}: {
  scale: Scale | undefined
  setScale: (next: Scale | undefined) => void
}) {
  const { t } = useTranslation()
  const now = scale ?? USUAL_SCALE
  const put = (key: keyof Scale) => (value: number | undefined) =>
    setScale({ ...now, [key]: value ?? USUAL_SCALE[key] })
  return (
    <section className="mt-6" aria-labelledby="own-scale">
      <h2 id="own-scale" className="text-xl">
        {t('settings.scale')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.scaleHow')}</p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <NumberField
          name={t('settings.scaleLeast')}
          min={-100}
          max={99}
          step={0.1}
          value={now.least}
          onChange={put('least')}
        />
        <NumberField
          name={t('settings.scaleMost')}
          min={-99}
          max={100}
          step={0.1}
          value={now.most}
          onChange={put('most')}
        />
        <NumberField
          name={t('settings.scaleStep')}
          min={0.1}
          max={100}
          step={0.1}
          value={now.step}
          onChange={put('step')}
        />
        {scale && (
          <button type="button" className="act" onClick={() => setScale(undefined)}>
            {t('settings.scaleUsual')}
          </button>
        )}
      </div>
    </section>
  )
}
