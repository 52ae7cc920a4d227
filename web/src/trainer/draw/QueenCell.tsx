import type { CellSeen } from '../queries'

/** A cell that is closed all around. */
const WHOLE = 'M8 6 C6 22 7 38 11 52 C13 60 16 65 20 65 C24 65 27 60 29 52 C33 38 34 22 32 6 Z'

/** A queen cell as it hangs, its tip downwards, in a field of 40 by 70: drawn by shape, no sign by colour alone. */
export function QueenCell({ look }: { look: CellSeen['look'] }) {
  const wax = '#c9a26b'
  const dark = '#7b5a33'
  const base = <path d="M6 0 H34 L31 8 H9 Z" fill={dark} />
  switch (look) {
    case 'CUP_EMPTY':
    case 'CUP_EGG':
      return (
        <>
          {base}
          <path
            d="M8 6 C6 18 9 24 13 25 L13 14 Q20 9 27 14 L27 25 C31 24 34 18 32 6 Z"
            fill={wax}
            stroke={dark}
          />
          <path d="M13 25 Q20 10 27 25 Z" fill="#3b2a18" />
          {look === 'CUP_EGG' && (
            <path d="M20 16 L21 23" stroke="#fffdf4" strokeWidth={2.4} strokeLinecap="round" />
          )}
        </>
      )
    case 'JELLY':
      return (
        <>
          {base}
          <path d="M8 6 C5 22 8 32 12 34 L28 34 C32 32 35 22 32 6 Z" fill={wax} stroke={dark} />
          <ellipse cx={20} cy={33} rx={8.5} ry={4.5} fill="#3b2a18" />
          <path d="M12 32 Q20 22 28 32 Q20 37 12 32 Z" fill="#f4ecd0" />
          <path d="M17 31 a3 2.4 0 1 1 6 0" fill="none" stroke="#fff" strokeWidth={2} />
        </>
      )
    case 'LONG':
      return (
        <>
          {base}
          <path d="M8 6 C5 26 8 44 13 54 L27 54 C32 44 35 26 32 6 Z" fill={wax} stroke={dark} />
          <Dimples />
          <ellipse cx={20} cy={54} rx={7.2} ry={4.2} fill="#3b2a18" />
          <path d="M15 54 q5 -5 10 0 q-5 4 -10 0" fill="#fffdf4" />
        </>
      )
    case 'SEALED':
    case 'RIPE':
      return (
        <>
          {base}
          <path d={WHOLE} fill={wax} stroke={dark} />
          <Dimples />
          {look === 'RIPE' && (
            <>
              <path
                d="M10.6 50.5 Q20 54.5 29.4 50.5 C27.5 59 24.5 65 20 65 C15.5 65 12.5 59 10.6 50.5 Z"
                fill="#6d4522"
              />
              <path d="M13 55 q7 3 14 0 M15 59.5 q5 2 10 0" stroke="#8d6238" fill="none" />
            </>
          )}
        </>
      )
    case 'EMERGED':
      return (
        <>
          {base}
          <path d="M8 6 C5 28 9 46 14 55 L26 55 C31 46 35 28 32 6 Z" fill={wax} stroke={dark} />
          <Dimples />
          <ellipse cx={20} cy={55} rx={6.2} ry={3} fill="#2b1f12" />
          <path d="M26 55 C34 56 36 62 30 66 C26 66 25 60 26 55 Z" fill="#a37b47" stroke={dark} />
        </>
      )
    case 'TORN_SIDE':
      return (
        <>
          {base}
          <path d={WHOLE} fill={wax} stroke={dark} />
          <Dimples />
          <path
            d="M33 22 L25 20 L22 27 L26 31 L21 36 L27 42 L32 36 Z"
            fill="#2b1f12"
            stroke={dark}
          />
        </>
      )
    case 'TORN_DOWN':
      return (
        <>
          {base}
          <path
            d="M8 6 L10 16 L14 12 L17 19 L21 13 L25 18 L28 12 L31 15 L32 6 Z"
            fill={wax}
            stroke={dark}
          />
        </>
      )
  }
}

function Dimples() {
  return (
    <>
      {[
        [13, 14],
        [20, 12],
        [27, 14],
        [16.5, 19],
        [23.5, 19],
        [12, 24],
        [20, 25],
        [28, 24],
        [15.5, 30],
        [24, 31],
        [19.5, 36],
        [27, 37],
        [14, 39],
        [22, 42],
      ].map(([x, y]) => (
        <circle
          key={`${x} ${y}`}
          cx={x}
          cy={y}
          r={1.7}
          fill="none"
          stroke="#9a7442"
          strokeWidth={0.9}
        />
      ))}
    </>
  )
}
