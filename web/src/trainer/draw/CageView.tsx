import { useCallback } from 'react'
import type { Question } from '../queries'
import { cageOf, drawCage } from './cage'
import { Moving } from './Moving'

/** Bees at a cage on the top bars. */
export function CageView({
  name,
  behaviours,
  seed,
}: {
  name: string
  behaviours: NonNullable<Question['behaviours']>
  seed: number
}) {
  const begin = useCallback(
    (still: CanvasRenderingContext2D, scale: number) => {
      drawCage(still)
      return cageOf(seed, behaviours, scale)
    },
    [behaviours, seed],
  )
  return <Moving name={name} begin={begin} />
}
