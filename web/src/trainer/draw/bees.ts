import { randomLcg } from 'd3-random'
import { HEIGHT, WIDTH } from './comb'

/**
 * Bees on a comb, drawn at the level that is needed to see a queen among them: workers, drones, and her with a broad bare thorax, a long belly, wings that
 * cover half of it. Bees make way for her, and stand around her where she stands. All of it follows from the luck it is given.
 */

export type QueenLook = 'LAYING' | 'OLD' | 'VIRGIN' | 'RUNNER'
type Kind = 'worker' | 'dark' | 'drone' | QueenLook

export type Bee = {
  x: number
  y: number
  turn: number
  speed: number
  kind: Kind
  /** seconds until it does something else */
  until: number
  walks: boolean
  /** drawn above her: she pushes through beneath */
  above: boolean
}

export type Swarm = {
  bees: Bee[]
  queen: Bee | undefined
  random: () => number
}

/** How long a worker is. */
export const BEE = 40
const MOST_BEES = 265
const RETINUE = 8
const QUEEN_LENGTH: Record<QueenLook, number> = {
  LAYING: 1.55,
  OLD: 1.55,
  VIRGIN: 1.16,
  RUNNER: 1.45,
}
const QUEEN_SPEED: Record<QueenLook, number> = { LAYING: 16, OLD: 10, VIRGIN: 62, RUNNER: 74 }

export const isQueen = (kind: Kind): kind is QueenLook =>
  kind === 'LAYING' || kind === 'OLD' || kind === 'VIRGIN' || kind === 'RUNNER'

/** @param density share that bees cover densely, 0–1.5 @param drones some walk among them */
export function swarmOf(
  seed: number,
  density: number,
  drones: boolean,
  queen: { across: number; down: number; look: QueenLook } | undefined,
): Swarm {
  const random = randomLcg(seed)
  const bees = Array.from({ length: Math.round(MOST_BEES * density) }, (): Bee => {
    // more of them in the middle than at the rim
    const middle = (one: number, other: number) => 0.5 + (one + other - 1) * 0.5
    const draw = random()
    return {
      x: WIDTH * (random() < 0.6 ? middle(random(), random()) : random()),
      y: HEIGHT * (random() < 0.6 ? middle(random(), random()) : random()),
      turn: random() * 2 * Math.PI,
      speed: 8 + 16 * random(),
      kind: drones && draw < 0.03 ? 'drone' : draw < 0.3 ? 'dark' : 'worker',
      until: random() * 3,
      walks: random() < 0.5,
      above: random() < Math.max(0.05, density - 0.75),
    }
  })
  return {
    bees,
    random,
    queen: queen && {
      x: queen.across * WIDTH,
      y: queen.down * HEIGHT,
      turn: random() * 2 * Math.PI,
      speed: QUEEN_SPEED[queen.look],
      kind: queen.look,
      until: 1 + random() * 2,
      walks: queen.look === 'VIRGIN' || queen.look === 'RUNNER',
      above: false,
    },
  }
}

const within = (bee: Bee, rim: number) => {
  bee.x = Math.min(WIDTH - rim, Math.max(rim, bee.x))
  bee.y = Math.min(HEIGHT - rim, Math.max(rim, bee.y))
}

function walk(bee: Bee, seconds: number, random: () => number, unrest: number) {
  bee.until -= seconds
  if (bee.until < 0) {
    const runs = bee.kind === 'VIRGIN' || bee.kind === 'RUNNER'
    bee.walks = runs ? random() < 0.85 : random() < 0.55
    bee.until = (runs ? 0.4 : 0.8) + random() * (runs ? 1.2 : 3)
  }
  if (!bee.walks) return
  bee.turn += (random() - 0.5) * seconds * 5
  bee.x += Math.cos(bee.turn) * bee.speed * unrest * seconds
  bee.y += Math.sin(bee.turn) * bee.speed * unrest * seconds
  // at the rim they turn back
  if (bee.x < 24 || bee.x > WIDTH - 24 || bee.y < 24 || bee.y > HEIGHT - 24) {
    const home = Math.atan2(HEIGHT / 2 - bee.y, WIDTH / 2 - bee.x)
    bee.turn += Math.sin(home - bee.turn) * seconds * 6
  }
}

/** @param unrest 1 as usual, more on a day of robbing */
export function step(swarm: Swarm, seconds: number, unrest = 1): void {
  const { bees, queen, random } = swarm
  bees.forEach((bee) => {
    walk(bee, seconds, random, unrest)
    within(bee, 8)
  })
  if (!queen) return
  walk(queen, seconds, random, 1)
  within(queen, 26)
  makeWay(bees, queen, seconds)
}

function makeWay(bees: Bee[], queen: Bee, seconds: number) {
  const large = queen.kind === 'LAYING' || queen.kind === 'OLD'
  const near = bees
    .filter((bee) => !bee.above)
    .map((bee) => ({ bee, away: Math.hypot(bee.x - queen.x, bee.y - queen.y) }))
    .filter(({ away }) => away < BEE * 2.2)
    .sort((one, other) => one.away - other.away)
  near.forEach(({ bee, away }, nth) => {
    const from = Math.atan2(bee.y - queen.y, bee.x - queen.x)
    const room = BEE * (large ? 1.12 : 0.7)
    if (away < room) {
      // pushed aside
      const push = Math.min(room - away, 70 * seconds)
      bee.x += Math.cos(from) * push
      bee.y += Math.sin(from) * push
    }
    if (large && !queen.walks && nth < RETINUE && away < BEE * 1.8) {
      // they turn to her, and stand
      bee.walks = false
      bee.until = 0.6
      bee.turn += Math.sin(from + Math.PI - bee.turn) * Math.min(1, seconds * 4)
      const ring = away - BEE * 1.18
      bee.x -= Math.cos(from) * ring * Math.min(1, seconds)
      bee.y -= Math.sin(from) * ring * Math.min(1, seconds)
    }
  })
}

/** Whether a tap at that place is on her. */
export function isHit(swarm: Swarm, x: number, y: number): boolean {
  const { queen } = swarm
  return queen !== undefined && Math.hypot(queen.x - x, queen.y - y) < BEE * 0.95
}

// --- drawing ---------------------------------------------------------------------------------

const ANGLES = 48
const SPRITE = 84

type Ink = CanvasRenderingContext2D
type Sprites = Map<Kind, HTMLCanvasElement[]>

const COLOURS: Record<Kind, { thorax: string; belly: string; band: string }> = {
  worker: { thorax: '#8a6a3c', belly: '#b9853f', band: '#3a2a18' },
  dark: { thorax: '#6f5534', belly: '#8d6430', band: '#2b2013' },
  drone: { thorax: '#5f4a30', belly: '#6d5028', band: '#241a10' },
  LAYING: { thorax: '#33241a', belly: '#8a4f22', band: '#643516' },
  OLD: { thorax: '#221a12', belly: '#5f4226', band: '#4a331d' },
  VIRGIN: { thorax: '#402d1c', belly: '#91602c', band: '#6b431f' },
  RUNNER: { thorax: '#33241a', belly: '#84491f', band: '#5f3215' },
}

/** Every kind in every direction, drawn once. @param scale device pixels to a pixel */
export function spritesOf(scale: number): Sprites {
  const kinds = Object.keys(COLOURS) as Kind[]
  return new Map(
    kinds.map((kind) => [
      kind,
      Array.from({ length: ANGLES }, (_, nth) => {
        const canvas = document.createElement('canvas')
        canvas.width = canvas.height = SPRITE * scale
        const ink = canvas.getContext('2d')
        if (ink) {
          ink.scale(scale, scale)
          ink.translate(SPRITE / 2, SPRITE / 2)
          ink.rotate((2 * Math.PI * nth) / ANGLES)
          drawBee(ink, kind)
        }
        return canvas
      }),
    ]),
  )
}

function ellipse(ink: Ink, x: number, y: number, long: number, wide: number, colour: string) {
  ink.fillStyle = colour
  ink.beginPath()
  ink.ellipse(x, y, long, wide, 0, 0, 2 * Math.PI)
  ink.fill()
}

/** One bee that looks to the right, its thorax a little before the middle. */
function drawBee(ink: Ink, kind: Kind) {
  const queen = isQueen(kind)
  const length = BEE * (queen ? QUEEN_LENGTH[kind] : kind === 'drone' ? 1.15 : 1)
  const { thorax, belly, band } = COLOURS[kind]
  const broad = queen ? (kind === 'VIRGIN' ? 0.18 : 0.22) : kind === 'drone' ? 0.25 : 0.19
  const wide = BEE * (queen ? (kind === 'VIRGIN' ? 0.19 : 0.23) : kind === 'drone' ? 0.24 : 0.19)
  // where the belly begins and ends
  const waist = queen ? BEE * 0.12 : 0
  const tail = waist - length * (queen ? 0.66 : 0.55)
  ink.strokeStyle = queen ? '#a5763d' : 'rgba(42, 32, 21, 0.75)'
  ink.lineWidth = queen ? 1.7 : 0.9
  const stretch = queen ? 1 : 0.74
  for (const side of [-1, 1])
    for (const [at, reach] of [
      [0.28, 0.34],
      [0.14, 0.38],
      [0, 0.42],
    ] as const) {
      ink.beginPath()
      ink.moveTo(waist + BEE * at, 0)
      ink.lineTo(waist + BEE * (at - 0.1), side * BEE * reach * stretch)
      ink.lineTo(waist + BEE * (at - 0.26), side * BEE * (reach * stretch + 0.05))
      ink.stroke()
    }
  // belly: of a queen long and tapered, of a drone blunt
  ink.fillStyle = belly
  ink.beginPath()
  ink.moveTo(waist, -wide * 0.7)
  ink.bezierCurveTo(
    waist + tail * 0.2,
    -wide * 1.2,
    tail * 0.72,
    -wide * 1.05,
    tail,
    kind === 'drone' ? -wide * 0.7 : 0,
  )
  ink.lineTo(tail, kind === 'drone' ? wide * 0.7 : 0)
  ink.bezierCurveTo(tail * 0.72, wide * 1.05, waist + tail * 0.2, wide * 1.2, waist, wide * 0.7)
  ink.closePath()
  ink.fill()
  ink.save()
  ink.clip()
  ink.strokeStyle = band
  ink.lineWidth = queen ? 1.6 : 3
  for (let ring = 1; ring < 6; ring++) {
    const x = waist + ((tail - waist) * ring) / 6
    ink.beginPath()
    ink.moveTo(x, -wide * 1.4)
    ink.lineTo(x, wide * 1.4)
    ink.stroke()
  }
  ink.restore()
  // wings: a worker's reach nearly to her tail, a queen's half-way
  const reach = queen ? (kind === 'OLD' ? 0.36 : 0.46) : 0.94
  ink.fillStyle = 'rgba(235, 228, 210, 0.5)'
  for (const side of [-1, 1]) {
    ink.beginPath()
    ink.moveTo(waist + BEE * 0.08, side * BEE * 0.05)
    ink.quadraticCurveTo(
      waist + tail * 0.3,
      side * BEE * 0.34,
      waist + (tail - waist) * reach,
      side * BEE * 0.2,
    )
    if (kind === 'OLD') ink.lineTo(waist + (tail - waist) * 0.26, side * BEE * 0.16)
    ink.quadraticCurveTo(
      waist + tail * 0.3,
      side * BEE * 0.04,
      waist + BEE * 0.08,
      side * BEE * 0.05,
    )
    ink.fill()
  }
  ellipse(ink, waist + BEE * 0.14, 0, BEE * 0.19, BEE * broad, thorax)
  if (queen) ellipse(ink, waist + BEE * 0.15, -BEE * 0.03, BEE * 0.08, BEE * 0.07, '#6d543a')
  ellipse(ink, waist + BEE * 0.38, 0, BEE * 0.11, BEE * (kind === 'drone' ? 0.17 : 0.13), '#2a2015')
  ink.strokeStyle = '#2a2015'
  ink.lineWidth = 1
  for (const side of [-1, 1]) {
    ink.beginPath()
    ink.moveTo(waist + BEE * 0.45, side * BEE * 0.05)
    ink.lineTo(waist + BEE * 0.58, side * BEE * 0.14)
    ink.stroke()
  }
}

export function drawOne(ink: Ink, sprites: Sprites, bee: Bee): void {
  const whole = 2 * Math.PI
  const nth = Math.round((((bee.turn % whole) + whole) % whole) / (whole / ANGLES)) % ANGLES
  const sprite = sprites.get(bee.kind)?.[nth]
  if (sprite) ink.drawImage(sprite, bee.x - SPRITE / 2, bee.y - SPRITE / 2, SPRITE, SPRITE)
}

export function drawSwarm(ink: Ink, sprites: Sprites, swarm: Swarm): void {
  swarm.bees.forEach((bee) => bee.above || drawOne(ink, sprites, bee))
  if (swarm.queen) drawOne(ink, sprites, swarm.queen)
  swarm.bees.forEach((bee) => bee.above && drawOne(ink, sprites, bee))
}
