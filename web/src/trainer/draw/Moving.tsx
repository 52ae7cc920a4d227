import { useEffect, useRef, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { HEIGHT, WIDTH } from './comb'

const LONGEST_STEP_SECONDS = 0.05
const MOST_SCALE = 2

/** A drawing that moves. Whoever wishes for less motion sees it standing still. */
export function Moving({
  name,
  begin,
  onTap,
}: {
  name: string
  /** draws what stands still once, and gives back what draws the rest after so many seconds more */
  begin: (
    ink: CanvasRenderingContext2D,
    scale: number,
  ) => (ink: CanvasRenderingContext2D, seconds: number) => void
  onTap?: ((x: number, y: number) => void) | undefined
}) {
  const ref = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const canvas = ref.current
    const ink = canvas?.getContext('2d')
    const ground = document.createElement('canvas')
    const still = ground.getContext('2d')
    if (!canvas || !ink || !still) return undefined
    const scale = Math.min(MOST_SCALE, window.devicePixelRatio || 1)
    for (const one of [canvas, ground]) {
      one.width = WIDTH * scale
      one.height = HEIGHT * scale
    }
    still.scale(scale, scale)
    ink.scale(scale, scale)
    const draw = begin(still, scale)
    const paint = (seconds: number) => {
      ink.drawImage(ground, 0, 0, WIDTH, HEIGHT)
      draw(ink, seconds)
    }
    paint(0)
    if (window.matchMedia('(prefers-reduced-motion: reduce)').matches) return undefined
    let before = performance.now()
    let frame = requestAnimationFrame(function next(now) {
      paint(Math.min(LONGEST_STEP_SECONDS, (now - before) / 1000))
      before = now
      frame = requestAnimationFrame(next)
    })
    return () => cancelAnimationFrame(frame)
  }, [begin])
  return (
    <canvas
      ref={ref}
      role="img"
      aria-label={name}
      className={`w-full min-w-[34rem] border border-ink ${onTap ? 'cursor-crosshair' : ''}`}
      style={{ aspectRatio: `${WIDTH} / ${HEIGHT}` }}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect()
        onTap?.(
          ((event.clientX - box.left) / box.width) * WIDTH,
          ((event.clientY - box.top) / box.height) * HEIGHT,
        )
      }}
    />
  )
}

/** Room for a picture that is wider than a phone. */
export function Wide({ children }: { children: ReactNode }) {
  const { t } = useTranslation()
  return (
    <>
      <p className="text-sm text-ink-2 sm:hidden">{t('train.sideways')}</p>
      {/* can be moved by the arrow keys where it is wider than the screen */}
      <div
        className="overflow-x-auto"
        role="group"
        aria-label={t('train.read.picture')}
        tabIndex={0}
      >
        {children}
      </div>
    </>
  )
}
