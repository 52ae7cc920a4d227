import { useTranslation } from 'react-i18next'
import type { SideNotes, Sign } from '../api/types'
import { signsOn, type Side } from './reading'
import { Textures, textureOf } from './Textures'

const SIDE = 27
const FRAME = 64
const TOP = 22

type Props = {
  /** which box of the stack, from 1 at the bottom */
  box: number
  slots: number
  /** slots in which a frame hangs; all of them if that is not known */
  hanging?: ReadonlySet<number> | undefined
  sides: SideNotes[]
  height: number
  name: string
  selected?: { slot: number; side: Side } | undefined
  onSelect?: (slot: number) => void
}

/** A hive as its frames seen from the top, two sides each, with what stands on them. */
export function BoxFromAbove(props: Props) {
  const { box, sides, height, name, selected, onSelect } = props
  const { t } = useTranslation()
  const slots = Array.from({ length: props.slots }, (_, index) => index + 1)
  const on = (slot: number, side: Side) => signsOn({ sides }, { box, slot, side })
  const says = (slot: number) =>
    props.hanging?.has(slot) === false
      ? t('read.noFrame', { slot })
      : `${t('read.frame', { slot })}: ${(['NEAR', 'FAR'] as const)
          .map((side) => on(slot, side).map((one) => t(`sign.${one}`)))
          .map((signs) => signs.join(', ') || t('read.notLooked'))
          .join(' / ')}`
  return (
    <svg
      viewBox={`0 0 ${props.slots * FRAME + 16} ${height + TOP + 12}`}
      className="w-full"
      role={onSelect ? 'group' : 'img'}
      aria-label={onSelect ? name : `${name}. ${slots.map(says).join('. ')}`}
    >
      <Textures />
      <rect
        x={2}
        y={TOP}
        width={props.slots * FRAME + 12}
        height={height + 8}
        rx={4}
        className="fill-none stroke-ink"
        strokeWidth={onSelect ? 2 : 1}
      />
      {slots.map((slot) => {
        const here = selected?.slot === slot
        const hangs = props.hanging?.has(slot) !== false
        const frame = (
          <>
            <rect
              x={(slot - 1) * FRAME + 8}
              y={0}
              width={FRAME}
              height={height + TOP + 8}
              fill="transparent"
            />
            <text
              x={(slot - 0.5) * FRAME + 8}
              y={15}
              textAnchor="middle"
              className={here ? 'fill-crown font-bold' : 'fill-ink-2'}
              fontSize={here ? 18 : 14}
            >
              {slot}
            </text>
            {hangs &&
              (['NEAR', 'FAR'] as const).map((side) => (
                <SideOf
                  key={side}
                  signs={on(slot, side)}
                  x={(slot - 1) * FRAME + 12 + (side === 'NEAR' ? 0 : SIDE + 2)}
                  y={TOP + 4}
                  height={height}
                  chosen={here && selected?.side === side}
                />
              ))}
            {hangs && (
              <line
                x1={(slot - 1) * FRAME + 13 + SIDE}
                x2={(slot - 1) * FRAME + 13 + SIDE}
                y1={TOP + 1}
                y2={TOP + height + 7}
                className="stroke-ink"
                strokeWidth={3}
              />
            )}
          </>
        )
        return onSelect ? (
          <g
            key={slot}
            role="button"
            tabIndex={0}
            aria-pressed={here}
            aria-label={says(slot)}
            className="cursor-pointer"
            onClick={() => onSelect(slot)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault()
                onSelect(slot)
              }
            }}
          >
            {frame}
          </g>
        ) : (
          <g key={slot}>{frame}</g>
        )
      })}
    </svg>
  )
}

/** What stands on one side, in bands from the top; the order of tapping is the order of the bands. */
function SideOf({
  signs,
  x,
  y,
  height,
  chosen,
}: {
  signs: Sign[]
  x: number
  y: number
  height: number
  chosen: boolean
}) {
  const bands = signs.filter((sign) => sign !== 'QUEEN')
  const band = height / Math.max(1, bands.length)
  return (
    <>
      {bands.map((sign, index) => (
        <rect
          key={sign}
          x={x}
          y={y + index * band}
          width={SIDE}
          height={band}
          fill={`url(#${textureOf(sign)})`}
          className="stroke-rule"
          strokeWidth={0.7}
        />
      ))}
      {signs.includes('QUEEN') && (
        <ellipse cx={x + SIDE / 2} cy={y + height / 2} rx={5} ry={11} className="fill-ink" />
      )}
      <rect
        x={x}
        y={y}
        width={SIDE}
        height={height}
        className={`fill-none ${chosen ? 'stroke-crown' : 'stroke-rule'}`}
        strokeWidth={chosen ? 3 : 1}
        strokeDasharray={bands.length === 0 && !chosen ? '3 4' : undefined}
      />
    </>
  )
}
