import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { nextStep, useFirstSteps } from './steps'

/** On an empty screen: what to do first, and the way to it. Nothing where everything stands already. */
export function BeginHere() {
  const { t } = useTranslation()
  const done = useFirstSteps()
  const next = done && nextStep(done)
  if (!next) return null
  return (
    <p className="mt-3 flex flex-wrap items-center gap-3 font-read text-lg">
      {t('first.here', { step: t(`first.${next}.name`) })}
      <Link to="/begin" className="act act-main inline-flex items-center">
        {t('first.begin')}
      </Link>
    </p>
  )
}
