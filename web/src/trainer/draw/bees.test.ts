import { describe, expect, it } from 'vitest'
import { BEE, isHit, step, swarmOf, type Bee } from './bees'
import { HEIGHT, WIDTH } from './comb'

const away = (one: Bee, other: Bee) => Math.hypot(one.x - other.x, one.y - other.y)

const run = (swarm: ReturnType<typeof swarmOf>, seconds: number) => {
  for (let at = 0; at < seconds; at += 0.05) step(swarm, 0.05)
}

describe('bees on a comb', () => {
  it('are the same for the same luck and others for another', () => {
    const swarm = () => {
      const one = swarmOf(7, 1, true, { across: 0.5, down: 0.5, look: 'LAYING' })
      run(one, 2)
      return one.bees.map((bee) => bee.x)
    }
    expect(swarm()).toEqual(swarm())
    expect(swarmOf(8, 1, true, undefined).bees[0]?.x).not.toEqual(
      swarmOf(7, 1, true, undefined).bees[0]?.x,
    )
  })

  it('are as many as the comb is covered, drones only where they are', () => {
    expect(swarmOf(1, 1.35, true, undefined).bees.length).toBeGreaterThan(
      2 * swarmOf(1, 0.6, true, undefined).bees.length,
    )
    expect(swarmOf(1, 1, true, undefined).bees.some((bee) => bee.kind === 'drone')).toBe(true)
    expect(swarmOf(1, 1, false, undefined).bees.some((bee) => bee.kind === 'drone')).toBe(false)
  })

  it('make way for a laying queen, and turn to her where she stands', () => {
    const swarm = swarmOf(3, 1, false, { across: 0.5, down: 0.5, look: 'LAYING' })
    const { queen } = swarm
    if (!queen) throw new Error('no queen')
    for (let at = 0; at < 6; at += 0.05) {
      queen.walks = false
      queen.until = 1
      step(swarm, 0.05)
    }
    const beside = swarm.bees.filter((bee) => !bee.above && away(bee, queen) < BEE * 1.5)
    expect(beside.length).toBeGreaterThan(3)
    expect(Math.min(...beside.map((bee) => away(bee, queen)))).toBeGreaterThan(BEE * 0.9)
    const facing = beside.filter(
      (bee) => Math.cos(Math.atan2(queen.y - bee.y, queen.x - bee.x) - bee.turn) > 0.7,
    )
    expect(facing.length).toBeGreaterThan(beside.length / 2)
  })

  it('let a virgin run on without a following: she is faster than they are', () => {
    const swarm = swarmOf(5, 1, false, { across: 0.5, down: 0.5, look: 'VIRGIN' })
    const from = { x: swarm.queen?.x ?? 0, y: swarm.queen?.y ?? 0 }
    run(swarm, 6)
    expect(
      Math.hypot((swarm.queen?.x ?? 0) - from.x, (swarm.queen?.y ?? 0) - from.y),
    ).toBeGreaterThan(BEE)
  })

  it('stay on the comb', () => {
    const swarm = swarmOf(9, 1, true, { across: 0.02, down: 0.98, look: 'RUNNER' })
    run(swarm, 20)
    for (const bee of swarm.bees) {
      expect(bee.x).toBeGreaterThanOrEqual(0)
      expect(bee.x).toBeLessThanOrEqual(WIDTH)
      expect(bee.y).toBeLessThanOrEqual(HEIGHT)
    }
    expect(swarm.queen?.x).toBeGreaterThanOrEqual(0)
  })

  it('know a tap on her from one beside her, and that nobody is there', () => {
    const swarm = swarmOf(2, 1, false, { across: 0.25, down: 0.5, look: 'OLD' })
    expect(isHit(swarm, WIDTH / 4 + 10, HEIGHT / 2)).toBe(true)
    expect(isHit(swarm, WIDTH / 2, HEIGHT / 2)).toBe(false)
    expect(isHit(swarmOf(2, 1, false, undefined), WIDTH / 4, HEIGHT / 2)).toBe(false)
  })
})
