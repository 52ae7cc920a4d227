import { useTranslation } from 'react-i18next'
import type { Queen } from '../api/types'

const PAINT: Record<NonNullable<Queen['colour']>, string> = {
  WHITE: '#ffffff',
  YELLOW: '#f2c521',
  RED: '#c8352b',
  GREEN: '#2f8a4c',
  BLUE: '#2864c7',
}

/** The colour of her year, with its word; filled if she wears a mark, a ring if she should. */
export function YearDot({ queen }: { queen: Queen }) {
  const { t } = useTranslation()
  if (!queen.colour) return null
  const marked = queen.mark !== ''
  return (
    <span className="inline-flex items-center gap-2">
      <svg width={16} height={16} aria-hidden>
        <circle
          cx={8}
          cy={8}
          r={6}
          fill={marked ? PAINT[queen.colour] : 'none'}
          stroke="var(--ink)"
          strokeWidth={1.5}
          strokeDasharray={marked ? undefined : '2 2'}
        />
      </svg>
      {marked
        ? queen.mark.toLowerCase()
        : t('queens.unmarked', { colour: t(`colour.${queen.colour}`), year: queen.emergenceYear })}
    </span>
  )
}
