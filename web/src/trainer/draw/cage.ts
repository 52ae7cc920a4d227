import type { Question } from '../queries'
import { BEE, drawOne, spritesOf, type Bee } from './bees'
import { HEIGHT, WIDTH } from './comb'
import { randomLcg } from 'd3-random'

type Ink = CanvasRenderingContext2D
type Behaviour = NonNullable<Question['behaviours']>[number]

const CAGE = { x: WIDTH / 2 - 130, y: HEIGHT / 2 - 62, wide: 260, high: 124 }
const SWEEP_SECONDS = 4
const FINGER = 60

/** A cage of wire on the top bars, she inside. */
export function drawCage(ink: Ink): void {
  ink.fillStyle = '#3a2d1e'
  ink.fillRect(0, 0, WIDTH, HEIGHT)
  for (let y = 14; y < HEIGHT; y += 74) {
    ink.fillStyle = '#c3a473'
    ink.fillRect(0, y, WIDTH, 50)
    ink.strokeStyle = '#a98653'
    ink.strokeRect(-2, y, WIDTH + 4, 50)
  }
  ink.fillStyle = '#d9c6a0'
  ink.fillRect(CAGE.x - 10, CAGE.y - 10, CAGE.wide + 20, CAGE.high + 20)
  ink.fillStyle = '#8c7a58'
  ink.fillRect(CAGE.x, CAGE.y, CAGE.wide, CAGE.high)
}

function wire(ink: Ink) {
  ink.strokeStyle = 'rgba(60, 60, 58, 0.75)'
  ink.lineWidth = 1
  ink.beginPath()
  for (let x = CAGE.x; x <= CAGE.x + CAGE.wide; x += 11) {
    ink.moveTo(x, CAGE.y)
    ink.lineTo(x, CAGE.y + CAGE.high)
  }
  for (let y = CAGE.y; y <= CAGE.y + CAGE.high; y += 11) {
    ink.moveTo(CAGE.x, y)
    ink.lineTo(CAGE.x + CAGE.wide, y)
  }
  ink.stroke()
}

type Doer = Bee & { does: Behaviour | undefined; homeX: number; homeY: number; phase: number }

/** How many stand at it, and how close. */
const CROWD: Partial<Record<Behaviour, number>> = {
  BALLING: 170,
  MATTED: 120,
  BITING: 46,
  BENT_ABDOMENS: 44,
  FEEDING: 26,
  LOOSE: 22,
  FANNING: 18,
}

function doersOf(seed: number, seen: readonly Behaviour[]): Doer[] {
  const random = randomLcg(seed)
  return seen.flatMap((does) =>
    Array.from({ length: CROWD[does] ?? 0 }, (): Doer => {
      const turn = random() * 2 * Math.PI
      // on the wire, or around it
      const on =
        does === 'BALLING' ? random() : does === 'MATTED' ? 0.15 + random() : 0.7 + random() * 0.9
      const far = does === 'LOOSE' || does === 'FANNING' ? 1 + random() * 0.9 : on
      const x = WIDTH / 2 + Math.cos(turn) * (CAGE.wide / 2 + 14) * far
      const y = HEIGHT / 2 + Math.sin(turn) * (CAGE.high / 2 + 26) * far
      const toHer = Math.atan2(HEIGHT / 2 - y, WIDTH / 2 - x)
      return {
        x,
        y,
        homeX: x,
        homeY: y,
        turn:
          does === 'LOOSE'
            ? random() * 6
            : toHer + (does === 'FANNING' ? Math.PI : 0) + random() - 0.5,
        speed: 10,
        kind: random() < 0.3 ? 'dark' : 'worker',
        until: 0,
        walks: false,
        above: true,
        does,
        phase: random() * 6,
      }
    }),
  )
}

function drawDeed(ink: Ink, bee: Doer, now: number) {
  ink.save()
  ink.translate(bee.x, bee.y)
  ink.rotate(bee.turn)
  if (bee.does === 'FEEDING') {
    // the tongue reaches through the wire
    ink.strokeStyle = '#b5482a'
    ink.lineWidth = 2
    ink.beginPath()
    ink.moveTo(BEE * 0.48, 0)
    ink.lineTo(BEE * (0.62 + 0.08 * Math.sin(now * 5 + bee.phase)), 0)
    ink.stroke()
  }
  if (bee.does === 'FANNING') {
    // wings that one sees only as a blur
    ink.fillStyle = 'rgba(240, 236, 222, 0.5)'
    for (const side of [-1, 1]) {
      ink.beginPath()
      ink.ellipse(-BEE * 0.05, side * BEE * 0.3, BEE * 0.2, BEE * 0.3, side * 0.3, 0, 2 * Math.PI)
      ink.fill()
    }
  }
  if (bee.does === 'BENT_ABDOMENS') {
    // the belly is bent beneath her, its tip at the wire
    ink.strokeStyle = '#8d6430'
    ink.lineWidth = BEE * 0.24
    ink.lineCap = 'round'
    ink.beginPath()
    ink.moveTo(-BEE * 0.1, 0)
    ink.quadraticCurveTo(-BEE * 0.5, BEE * 0.2, BEE * 0.12, BEE * 0.42)
    ink.stroke()
    ink.strokeStyle = '#1d130b'
    ink.lineWidth = 2
    ink.beginPath()
    ink.moveTo(BEE * 0.12, BEE * 0.42)
    ink.lineTo(BEE * 0.26, BEE * 0.44)
    ink.stroke()
  }
  if (bee.does === 'BITING') {
    // jaws that hold the wire
    ink.strokeStyle = '#1d130b'
    ink.lineWidth = 2.4
    const open = 0.1 + 0.06 * Math.abs(Math.sin(now * 9 + bee.phase))
    for (const side of [-1, 1]) {
      ink.beginPath()
      ink.moveTo(BEE * 0.46, side * BEE * 0.06)
      ink.quadraticCurveTo(BEE * 0.6, side * BEE * (open + 0.08), BEE * 0.62, side * BEE * 0.02)
      ink.stroke()
    }
  }
  ink.restore()
}

/** Draws what the bees do, and a finger that brushes over them where that was tried. */
export function cageOf(seed: number, seen: readonly Behaviour[], scale: number) {
  const sprites = spritesOf(scale)
  const doers = doersOf(seed, seen)
  const her: Bee = {
    x: WIDTH / 2,
    y: HEIGHT / 2,
    turn: 0.2,
    speed: 0,
    kind: 'LAYING',
    until: 0,
    walks: false,
    above: false,
  }
  const brushes = seen.includes('BRUSHES_OFF') || seen.includes('WILL_NOT_BRUSH_OFF')
  const gives = seen.includes('BRUSHES_OFF')
  let now = 0
  return (ink: Ink, seconds: number) => {
    now += seconds
    her.turn = 0.2 + 0.4 * Math.sin(now * 0.7)
    drawOne(ink, sprites, her)
    wire(ink)
    const finger = brushes
      ? -FINGER + ((now % SWEEP_SECONDS) / SWEEP_SECONDS) * (WIDTH + 2 * FINGER)
      : -1e6
    doers.forEach((bee) => {
      const shake = bee.does === 'BITING' || bee.does === 'BALLING' ? 1.6 : 0.5
      const away = Math.abs(bee.homeX - finger)
      const moved = away < 2 * FINGER && Math.abs(bee.homeY - HEIGHT / 2) < 140
      // some step aside before the finger, others hold fast
      const side =
        gives && moved ? (bee.homeY < HEIGHT / 2 ? -1 : 1) * (2 * FINGER - away) * 0.8 : 0
      bee.x = bee.homeX + Math.sin(now * 6 + bee.phase) * shake
      bee.y = bee.homeY + Math.cos(now * 5 + bee.phase) * shake + side
      drawOne(ink, sprites, bee)
      drawDeed(ink, bee, now)
    })
    if (brushes) {
      ink.fillStyle = 'rgba(226, 190, 160, 0.95)'
      ink.strokeStyle = '#8d6238'
      ink.lineWidth = 2
      ink.beginPath()
      ink.roundRect(finger - FINGER / 2, HEIGHT / 2 - 20, FINGER, HEIGHT, 26)
      ink.fill()
      ink.stroke()
    }
  }
}
