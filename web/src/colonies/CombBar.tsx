export const COMB_WIDTH = 34
export const COMB_HEIGHT = 108
const BAR = 74

/** A comb as one looks down on it, filled as likely as she is on it, its slot and the chance beneath; 34 by 108. */
export function CombBar({
  slot,
  chance,
  most,
  framed,
}: {
  slot: number
  chance: number
  /** the largest chance of all combs: as high as the bar goes */
  most: number
  framed: boolean
}) {
  const high = (BAR - 6) * (chance / most)
  return (
    <>
      <rect
        x={1}
        y={1}
        width={COMB_WIDTH - 2}
        height={BAR}
        className={framed ? 'fill-sheet stroke-crown' : 'fill-sheet stroke-rule'}
        strokeWidth={framed ? 3 : 1}
      />
      <rect x={4} y={BAR - 2 - high} width={COMB_WIDTH - 8} height={high} className="fill-ink-2" />
      <text
        x={COMB_WIDTH / 2}
        y={BAR + 15}
        textAnchor="middle"
        className={framed ? 'fill-crown font-bold' : 'fill-ink'}
        fontSize={14}
      >
        {slot}
      </text>
      <text
        x={COMB_WIDTH / 2}
        y={BAR + 30}
        textAnchor="middle"
        className="fill-ink-2"
        fontSize={12}
      >
        {Math.round(100 * chance)} %
      </text>
    </>
  )
}
