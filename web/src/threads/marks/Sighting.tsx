/** What was seen: a firm triangle with its word. */
export function Sighting({ x, y, word }: { x: number; y: number; word?: string }) {
  return (
    <g>
      <path d={`M${x - 4.5} ${y - 7} h9 l-4.5 7 z`} fill="var(--ink)" />
      {word && (
        <text x={x + 7} y={y} fontSize={11} fontWeight={650} fill="var(--ink)">
          {word}
        </text>
      )}
    </g>
  )
}

/** What is due: an open triangle; late ones in the accent, filled, with the word in front. */
export function DueMark({
  x,
  y,
  word,
  late,
  room,
}: {
  x: number
  y: number
  word: string
  late: boolean
  room: number
}) {
  const toTheLeft = x > room
  return (
    <g>
      <path
        d={`M${x - 4.5} ${y - 7} h9 l-4.5 7 z`}
        fill={late ? 'var(--crown)' : 'var(--paper)'}
        stroke={late ? 'var(--crown)' : 'var(--ink-2)'}
        strokeWidth={1.3}
      />
      <text
        x={toTheLeft ? x - 7 : x + 7}
        y={y}
        fontSize={11}
        textAnchor={toTheLeft ? 'end' : 'start'}
        fontWeight={late ? 700 : 400}
        fill={late ? 'var(--crown)' : 'var(--ink-2)'}
      >
        {word}
      </text>
    </g>
  )
}

/** Her end: a cross and its reason. */
export function EndMark({ x, y, word }: { x: number; y: number; word: string }) {
  return (
    <g>
      <path
        d={`M${x - 5} ${y - 5} l10 10 M${x + 5} ${y - 5} l-10 10`}
        stroke="var(--ink)"
        strokeWidth={2.4}
      />
      <text x={x + 10} y={y + 4} fontSize={11} fill="var(--ink-2)">
        {word}
      </text>
    </g>
  )
}
