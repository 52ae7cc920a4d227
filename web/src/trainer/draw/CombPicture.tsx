import { useCallback } from 'react'
import type { CellSeen } from '../queries'
import { drawComb, HEIGHT, WIDTH } from './comb'
import { Moving } from './Moving'
import { QueenCell } from './QueenCell'

const CELL = 46

/** A comb from which the bees were shaken, with the queen cells on it. */
export function CombPicture({
  name,
  rows,
  cells,
}: {
  name: string
  rows: string[]
  cells: CellSeen[]
}) {
  const begin = useCallback(
    (still: CanvasRenderingContext2D) => {
      drawComb(still, rows)
      return () => undefined
    },
    [rows],
  )
  return (
    <div className={`relative min-w-[34rem] ${cells.length > 0 ? 'pb-[5%]' : ''}`}>
      <Moving name={name} begin={begin} />
      {cells.length > 0 && (
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT + 40}`}
          className="pointer-events-none absolute inset-x-0 top-0 w-full"
          aria-hidden
        >
          {cells.map((cell, nth) => (
            <g
              key={nth}
              transform={`translate(${cell.across * WIDTH - CELL / 2} ${cell.down * HEIGHT - 20}) scale(${CELL / 40})`}
            >
              <QueenCell look={cell.look} />
            </g>
          ))}
        </svg>
      )}
    </div>
  )
}
