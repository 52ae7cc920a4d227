import { useTranslation } from 'react-i18next'
import type { Settings } from '../api/types'
import { TextField } from '../ui/Fields'
import { QuantityField } from '../units/QuantityField'

type Formats = Settings['formats']

/** Frames of the operation's own making. */
export function Formats({
  formats,
  setFormats,
}: {
  formats: Formats
  setFormats: (next: Formats) => void
}) {
  const { t } = useTranslation()
  const change = (at: number, next: Partial<Formats[number]>) =>
    setFormats(formats.map((one, index) => (index === at ? { ...one, ...next } : one)))
  return (
    <section aria-labelledby="formats" className="mt-6">
      <h2 id="formats" className="text-xl">
        {t('settings.formats')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.formatsHow')}</p>
      {formats.map((one, at) => (
        <div key={at} className="mt-2 flex flex-wrap items-end gap-3">
          <TextField
            name={t('settings.formatName')}
            required
            maxLength={60}
            value={one.name}
            onChange={(name) => change(at, { name })}
          />
          <QuantityField
            name={t('settings.formatArea')}
            quantity="area"
            required
            min={1}
            max={30}
            value={one.sideSquareDecimetres}
            onChange={(area) => change(at, { sideSquareDecimetres: area ?? 1 })}
          />
          <button
            type="button"
            className="act self-end"
            onClick={() => setFormats(formats.filter((_, index) => index !== at))}
          >
            {t('read.takeAway')}
          </button>
        </div>
      ))}
      <button
        type="button"
        className="act mt-2"
        onClick={() => setFormats([...formats, { name: '', sideSquareDecimetres: 8 }])}
      >
        {t('settings.addFormat')}
      </button>
    </section>
  )
}
