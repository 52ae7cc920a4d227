/** Draws one side of a comb cell by cell: earth tones and shapes of our own, so that it holds without colours too. */

export const WIDTH = 860
export const HEIGHT = 440
const MARGIN = 10

type Ink = CanvasRenderingContext2D

export type Cell = { x: number; y: number; letter: string }

/** Where each cell lies, every second row half a cell to the right. */
export function cellsOf(rows: readonly string[]): { cells: Cell[]; radius: number } {
  const columns = Math.max(1, ...rows.map((row) => row.length))
  const across = (WIDTH - 2 * MARGIN) / (columns + 0.5)
  const down = (HEIGHT - 2 * MARGIN) / rows.length
  return {
    radius: Math.min(across, down * 1.15) / 2,
    cells: rows.flatMap((row, nth) =>
      [...row].map((letter, column) => ({
        x: MARGIN + (column + 0.5 + (nth % 2) / 2) * across,
        y: MARGIN + (nth + 0.5) * down,
        letter,
      })),
    ),
  }
}

const GROUND: Record<string, string> = {
  '.': '#b99a6b',
  o: '#d8bd8c',
  e: '#9c7d4f',
  E: '#9c7d4f',
  w: '#9c7d4f',
  l: '#94764b',
  L: '#94764b',
  s: '#c69b72',
  D: '#c9a27a',
  m: '#c69b72',
  p: '#efd68b',
  n: '#caa24f',
  h: '#f1e6c0',
  x: '#8f6742',
  q: '#94764b',
  c: '#94764b',
}

export function drawComb(ink: Ink, rows: readonly string[]): void {
  ink.fillStyle = '#7b5c34'
  ink.fillRect(0, 0, WIDTH, HEIGHT)
  const { cells, radius } = cellsOf(rows)
  cells.forEach((cell, nth) => drawCell(ink, cell, radius, nth))
}

function hexagon(ink: Ink, x: number, y: number, radius: number) {
  ink.beginPath()
  for (let corner = 0; corner < 6; corner++) {
    const turn = (Math.PI / 3) * corner + Math.PI / 6
    ink.lineTo(x + radius * Math.cos(turn), y + radius * Math.sin(turn))
  }
  ink.closePath()
}

function disc(ink: Ink, x: number, y: number, radius: number, colour: string) {
  ink.fillStyle = colour
  ink.beginPath()
  ink.arc(x, y, radius, 0, 2 * Math.PI)
  ink.fill()
}

function egg(ink: Ink, x: number, y: number, radius: number, turn: number) {
  ink.save()
  ink.translate(x, y)
  ink.rotate(turn)
  ink.fillStyle = '#fffdf4'
  ink.beginPath()
  ink.ellipse(0, 0, radius * 0.13, radius * 0.42, 0, 0, 2 * Math.PI)
  ink.fill()
  ink.restore()
}

function larva(ink: Ink, x: number, y: number, radius: number, colour: string, open: number) {
  ink.strokeStyle = colour
  ink.lineWidth = radius * 0.3
  ink.lineCap = 'round'
  ink.beginPath()
  ink.arc(x, y, radius * 0.42, open, open + 4.6)
  ink.stroke()
}

function drawCell(ink: Ink, { x, y, letter }: Cell, radius: number, nth: number) {
  // the same every time, and not the same in every cell
  const some = ((nth * 7919) % 97) / 97
  hexagon(ink, x, y, radius * 1.12)
  ink.fillStyle = GROUND[letter] ?? '#b99a6b'
  ink.fill()
  ink.strokeStyle = '#e6cd9a'
  ink.lineWidth = 1.1
  ink.stroke()
  switch (letter) {
    case '.':
      disc(ink, x, y + radius * 0.1, radius * 0.55, '#8d6f45')
      break
    case 'o':
      disc(ink, x, y, radius * 0.62, '#a8874f')
      disc(ink, x - radius * 0.2, y - radius * 0.25, radius * 0.16, '#fff6dc')
      break
    case 'e':
      egg(ink, x, y, radius, some * 0.9 - 0.45)
      break
    case 'E':
      egg(ink, x - radius * 0.3, y, radius, some - 0.9)
      egg(ink, x + radius * 0.28, y + radius * 0.1, radius, 0.8 - some)
      egg(ink, x, y - radius * 0.25, radius, 1.4 + some)
      break
    case 'w':
      egg(ink, x + radius * 0.62, y - radius * 0.2, radius, 0.5 + some)
      break
    case 'l':
      disc(ink, x, y, radius * 0.5, '#d9cfae')
      larva(ink, x, y, radius * 0.72, '#fbf9ef', some * 6)
      break
    case 'L':
      larva(ink, x, y, radius * 1.25, '#fbf9ef', some * 6)
      break
    case 's':
      disc(ink, x, y, radius * 0.86, some < 0.5 ? '#b98a5e' : '#bd9064')
      break
    case 'D':
      disc(ink, x, y, radius * 1.1, '#8a623a')
      disc(ink, x - radius * 0.12, y - radius * 0.15, radius * 0.86, '#c99a68')
      disc(ink, x - radius * 0.3, y - radius * 0.36, radius * 0.3, '#e3c194')
      break
    case 'm':
      disc(ink, x, y, radius * 0.86, '#b98a5e')
      disc(ink, x + radius * 0.15, y, radius * 0.42, '#2b2118')
      disc(ink, x + radius * 0.2, y, radius * 0.25, '#7b5a33')
      break
    case 'p':
      disc(ink, x, y, radius * 0.78, some < 0.4 ? '#d98f2b' : some < 0.75 ? '#c8641f' : '#b8902b')
      break
    case 'n':
      disc(ink, x, y, radius * 0.72, '#8f6a22')
      disc(ink, x - radius * 0.22, y - radius * 0.25, radius * 0.22, '#fbeec0')
      break
    case 'h':
      disc(ink, x, y, radius * 0.9, some < 0.5 ? '#efe2b6' : '#f4ead0')
      break
    case 'x':
      disc(ink, x, y, radius * 0.84, '#6f4a2c')
      disc(ink, x + radius * (some - 0.5) * 0.5, y, radius * 0.22, '#1d130b')
      break
    case 'q':
      larva(ink, x, y + radius * 0.3, radius * 1.0, some < 0.5 ? '#b08a45' : '#7d5a34', 3.4)
      break
    case 'c':
      disc(ink, x, y, radius * 0.7, some < 0.7 ? '#f4f1ea' : '#8b8985')
      disc(ink, x, y, radius * 0.28, some < 0.7 ? '#d9d4c6' : '#6e6c68')
      break
  }
}

/** Wood: the underside of a lid, a wall, a floor. */
export function drawWood(ink: Ink): void {
  ink.fillStyle = '#c9ae82'
  ink.fillRect(0, 0, WIDTH, HEIGHT)
  ink.strokeStyle = '#b3935f'
  ink.lineWidth = 1
  for (let y = 8; y < HEIGHT; y += 13) {
    ink.beginPath()
    ink.moveTo(0, y)
    ink.bezierCurveTo(WIDTH / 3, y + 9, (2 * WIDTH) / 3, y - 9, WIDTH, y + 3)
    ink.stroke()
  }
}
