import { useTranslation } from 'react-i18next'
import type { Reason } from '../api/types'

/** What was seen, which rule, which source: folded out on request. */
export function Reasons({ reasons }: { reasons: Reason[] }) {
  const { t } = useTranslation()
  return (
    <details className="text-sm open:block">
      <summary className="inline-block min-h-6 text-ink-2 underline decoration-dotted underline-offset-4">
        {t('reasons.why')}
      </summary>
      <ul className="mt-1 space-y-1 border-l-2 border-rule pl-3">
        {reasons.map((reason) => (
          <li key={reason.text}>
            {reason.text}
            <span className="block text-ink-3">
              {reason.source}
              {reason.fromMemory && ` (${t('reasons.fromMemory')})`}
            </span>
          </li>
        ))}
      </ul>
    </details>
  )
}
