import { useRef } from 'react'
import { useTranslation } from 'react-i18next'
import type { SideNotes, UnitLine } from '../api/types'
import { signsOn } from '../colonies/reading'
import { Textures, textureOf } from '../colonies/Textures'
import { at } from './moving'

const FRAME = 38
const HEIGHT = 74
/** A hand that moves less than this has tapped, pixels. */
const DRAG = 12

type Props = {
  name: string
  box: number
  slots: number
  hanging: ReadonlySet<string>
  sides: SideNotes[]
  /** frames that go, by their place */
  goes?: ReadonlyMap<string, string>
  /** frames that are held fast, and whether they go */
  fast?: ReadonlyMap<string, boolean>
  onTap?: (slot: number) => void
}

/** The frames of one box, small, seen from above: those that go are framed, those held fast carry a knot. */
export function FramesOf({ name, box, slots, hanging, sides, goes, fast, onTap }: Props) {
  const { t } = useTranslation()
  const from = useRef<[number, number]>([0, 0])
  const dragged = useRef(false)
  const all = Array.from({ length: slots }, (_, index) => index + 1).filter((slot) =>
    hanging.has(at(box, slot)),
  )
  const last = Math.max(slots, ...all)
  return (
    <svg
      viewBox={`0 0 ${last * FRAME + 8} ${HEIGHT + 24}`}
      className="w-full"
      style={{ maxWidth: last * FRAME + 8 }}
      role="group"
      aria-label={name}
    >
      <Textures />
      <rect
        x={1}
        y={1}
        width={last * FRAME + 6}
        height={HEIGHT + 6}
        rx={4}
        className="fill-none stroke-ink"
      />
      {all.map((slot) => {
        const key = at(box, slot)
        const to = goes?.get(key)
        const knot = fast?.get(key)
        const signs = (['NEAR', 'FAR'] as const).map((side) =>
          signsOn({ sides }, { box, slot, side }),
        )
        const says = [
          t('read.frame', { slot }),
          signs.map((one) => one.map((sign) => t(`sign.${sign}`)).join(', ')).join(' / '),
          to && t('splits.goesTo', { unit: to }),
          knot !== undefined && t(knot ? 'splits.heldGoes' : 'splits.heldStays'),
        ]
        const x = (slot - 1) * FRAME + 5
        return (
          <g
            key={slot}
            role={onTap ? 'button' : undefined}
            tabIndex={onTap ? 0 : undefined}
            aria-pressed={onTap ? to !== undefined : undefined}
            aria-label={says.filter(Boolean).join('. ')}
            className={onTap ? 'cursor-pointer' : undefined}
            onClick={() => {
              if (!dragged.current) onTap?.(slot)
            }}
            style={onTap ? { touchAction: 'pan-y' } : undefined}
            onPointerDown={(event) => {
              dragged.current = false
              from.current = [event.clientX, event.clientY]
              if (onTap) event.currentTarget.setPointerCapture(event.pointerId)
            }}
            onPointerUp={(event) => {
              const [x, y] = from.current
              dragged.current = Math.hypot(event.clientX - x, event.clientY - y) > DRAG
              const over = document.elementFromPoint(event.clientX, event.clientY)
              const drop = over?.closest('[data-drop]')?.getAttribute('data-drop')
              // what already goes need not be carried there again
              if (dragged.current && drop === (to ? 'hive' : 'units')) onTap?.(slot)
            }}
            onKeyDown={(event) => {
              if (onTap && (event.key === 'Enter' || event.key === ' ')) {
                event.preventDefault()
                onTap(slot)
              }
            }}
          >
            {signs.map((side, which) => {
              const bands = side.filter((sign) => sign !== 'QUEEN')
              const band = HEIGHT / Math.max(1, bands.length)
              return bands.map((sign, index) => (
                <rect
                  key={`${which} ${sign}`}
                  x={x + which * 17}
                  y={4 + index * band}
                  width={16}
                  height={band}
                  fill={`url(#${textureOf(sign)})`}
                />
              ))
            })}
            <line
              x1={x + 16.5}
              x2={x + 16.5}
              y1={2}
              y2={HEIGHT + 6}
              className="stroke-ink"
              strokeWidth={2}
            />
            {signs.some((side) => side.includes('QUEEN')) && (
              <ellipse cx={x + 8} cy={HEIGHT / 2} rx={4} ry={9} className="fill-ink" />
            )}
            <rect
              x={x - 1}
              y={3}
              width={35}
              height={HEIGHT + 2}
              className={to ? 'fill-none stroke-crown' : 'fill-transparent stroke-rule'}
              strokeWidth={to ? 3.5 : 1}
            />
            <text
              x={x + 16}
              y={HEIGHT + 20}
              textAnchor="middle"
              fontSize={13}
              className={to ? 'fill-crown font-bold' : 'fill-ink-2'}
            >
              {knot === undefined ? slot : `${slot} ${knot ? '↑' : '↓'}`}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

/** A hive's brood boxes, the lowest first. */
export function BoxesOf({
  line,
  ...rest
}: { line: UnitLine } & Pick<Props, 'goes' | 'fast'> & {
    onTap?: (box: number, slot: number) => void
  }) {
  const boxes = [...new Set(line.frames.map((frame) => frame.box))].toSorted((a, b) => a - b)
  const hanging = new Set(line.frames.map((frame) => at(frame.box, frame.slot)))
  const { onTap, ...marks } = rest
  return boxes.map((box) => (
    <FramesOf
      key={box}
      name={line.code}
      box={box}
      slots={Math.max(...line.frames.filter((one) => one.box === box).map((one) => one.slot))}
      hanging={hanging}
      sides={line.sides}
      {...marks}
      {...(onTap ? { onTap: (slot: number) => onTap(box, slot) } : {})}
    />
  ))
}
