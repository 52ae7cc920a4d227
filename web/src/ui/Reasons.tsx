import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import type { Reason } from '../api/types'

/**
 * What was seen, which rule, which source: folded out where the sentence that it is about is tapped.
 *
 * @param said a reason that the sentence says already: only its source is added
 * @param children the sentence; where there is none of its own, one word stands for it
 */
export function Reasons({
  reasons,
  said,
  children,
}: {
  reasons: Reason[]
  said?: string | undefined
  children?: ReactNode
}) {
  const { t } = useTranslation()
  if (reasons.length === 0) return <>{children}</>
  return (
    <details className="open:block">
      <summary
        className={`inline-block min-h-6 underline decoration-ink-3 decoration-dotted underline-offset-4 ${
          children === undefined ? 'text-sm text-ink-2' : ''
        }`}
      >
        {children ?? t('reasons.why')}
      </summary>
      <ul className="mt-1 space-y-1 border-l-2 border-rule pl-3 text-sm">
        {reasons.map((reason) => (
          <li key={reason.text}>
            {reason.text !== said && reason.text}
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
