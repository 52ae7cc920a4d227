import { useTranslation } from 'react-i18next'

const ACROSS = 34
const DOWN = 14
const CELL = 11

/** A comb side of sealed brood as it would look: cells whose brood is lost stand open. The same share always looks the same. */
export function BroodComb({ lost }: { lost: number }) {
  const { t } = useTranslation()
  const cells = []
  for (let row = 0; row < DOWN; row++)
    for (let column = 0; column < ACROSS; column++) {
      const chance = scattered(row * ACROSS + column)
      cells.push(
        <circle
          key={`${row}-${column}`}
          cx={CELL * (column + (row % 2 ? 1 : 0.5))}
          cy={CELL * 0.88 * (row + 0.6)}
          r={CELL * 0.44}
          fill={chance < lost ? 'var(--paper)' : 'var(--ink-3)'}
          stroke="var(--ink-3)"
          strokeWidth={0.8}
        />,
      )
    }
  return (
    <svg
      viewBox={`0 0 ${CELL * (ACROSS + 1)} ${CELL * 0.88 * (DOWN + 0.4)}`}
      className="mt-2 w-full max-w-md"
      role="img"
      aria-label={t('mating.comb', { percent: Math.round(lost * 100) })}
    >
      {cells}
    </svg>
  )
}

/** Numbers between 0 and 1 that look drawn and never change (a multiplicative sequence by the golden section). */
const scattered = (cell: number): number =>
  ((cell + 1) * 0.618_033_988_749_895 * (1 + (cell % 7))) % 1
