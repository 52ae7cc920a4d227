import { useCallback, useMemo, useRef } from 'react'
import type { Seen } from '../queries'
import { drawSwarm, isHit, spritesOf, step, swarmOf, type QueenLook, type Swarm } from './bees'
import { drawComb, drawWood, HEIGHT, WIDTH } from './comb'
import { Moving } from './Moving'

type Props = {
  name: string
  seen: Seen
  seed: number
  queen: QueenLook
  drones: boolean
  /** how restless the bees are, 1 as usual */
  unrest: number
  /** where somebody pointed, and whether it is her; the ninths of a side count from 1 at the top left */
  onPoint: (isHer: boolean) => void
  /** gives back a way to point at a ninth by a key */
  pointing: React.RefObject<((ninth: number) => void) | undefined>
}

/** One side of a comb with the bees on it, she among them if she is there. */
export function CombView({ name, seen, seed, queen, drones, unrest, onPoint, pointing }: Props) {
  const swarm = useRef<Swarm>(undefined)
  const rows = useMemo(() => seen.rows, [seen])
  const begin = useCallback(
    (still: CanvasRenderingContext2D, scale: number) => {
      if (rows) drawComb(still, rows)
      else drawWood(still)
      const here = swarmOf(
        seed,
        seen.bees,
        drones,
        seen.queen && { across: seen.queen.across, down: seen.queen.down, look: queen },
      )
      swarm.current = here
      const sprites = spritesOf(scale)
      // as they stand around her when one looks, not as they were strewn
      for (let nth = 0; nth < 30; nth++) step(here, 0.05, unrest)
      return (ink: CanvasRenderingContext2D, seconds: number) => {
        step(here, seconds, unrest)
        drawSwarm(ink, sprites, here)
      }
    },
    [drones, queen, rows, seed, seen, unrest],
  )
  pointing.current = (ninth) => {
    const her = swarm.current?.queen
    onPoint(her !== undefined && ninthOf(her.x / WIDTH, her.y / HEIGHT) === ninth)
  }
  return (
    <Moving
      name={name}
      begin={begin}
      onTap={(x, y) => onPoint(swarm.current !== undefined && isHit(swarm.current, x, y))}
    />
  )
}

/** Which ninth of a side, counted from the top left, 1–9. */
export const ninthOf = (across: number, down: number): number =>
  3 * Math.min(2, Math.max(0, Math.floor(down * 3))) +
  Math.min(2, Math.max(0, Math.floor(across * 3))) +
  1
