import { useTranslation } from 'react-i18next'

/** Stands where a screen failed, so that nobody looks at an empty page: the record is not touched by it. */
export function Broken() {
  const { t } = useTranslation()
  return (
    <div role="alert">
      <p className="font-semibold text-crown">{t('connection.broken')}</p>
      <p className="mt-3">
        <button className="act act-main" onClick={() => window.location.reload()}>
          {t('connection.drawAgain')}
        </button>
      </p>
    </div>
  )
}
