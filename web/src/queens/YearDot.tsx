import { useTranslation } from 'react-i18next'
import type { Queen } from '../api/types'
import { COLOURS, PAINT } from './colours'

/** The mark she wears, with its word; a ring in its place if she should wear that of her year. */
export function YearDot({ queen }: { queen: Queen }) {
  const { t } = useTranslation()
  const marked = queen.mark !== ''
  const worn = COLOURS.find((one) => queen.mark.startsWith(one))
  if (!queen.colour && !marked) return null
  return (
    <span className="inline-flex items-center gap-2">
      <svg width={16} height={16} aria-hidden>
        <circle
          cx={8}
          cy={8}
          r={6}
          fill={worn ? PAINT[worn] : 'none'}
          stroke="var(--ink)"
          strokeWidth={1.5}
          strokeDasharray={marked ? undefined : '2 2'}
        />
      </svg>
      {marked
        ? queen.mark.toLowerCase()
        : queen.colour &&
          t('queens.unmarked', { colour: t(`colour.${queen.colour}`), year: queen.emergenceYear })}
    </span>
  )
}
