import type { Sign } from '../api/types'

type Texture =
  | 'tex-eggs'
  | 'tex-larvae'
  | 'tex-sealed'
  | 'tex-domed'
  | 'tex-pollen'
  | 'tex-honey'
  | 'tex-nectar'
  | 'tex-comb'
  | 'tex-foundation'

/** What a sign looks like on a frame. */
export function textureOf(sign: Sign): Texture {
  switch (sign) {
    case 'EGGS':
    case 'EGGS_SINGLE':
    case 'EGGS_SEVERAL':
    case 'EGGS_ON_WALLS':
    case 'EGGS_STANDING':
    case 'EGGS_LYING':
      return 'tex-eggs'
    case 'LARVAE':
    case 'YOUNG_LARVAE':
    case 'OLD_LARVAE':
      return 'tex-larvae'
    case 'SEALED_DRONE':
    case 'SEALED_DRONE_IN_DRONE_COMB':
    case 'SEALED_DRONE_SCATTERED':
      return 'tex-domed'
    case 'POLLEN':
      return 'tex-pollen'
    case 'SEALED_HONEY':
      return 'tex-honey'
    case 'NECTAR':
      return 'tex-nectar'
    case 'POLISHED_CELLS':
    case 'EMPTY_COMB':
      return 'tex-comb'
    case 'FOUNDATION':
      return 'tex-foundation'
    default:
      return 'tex-sealed'
  }
}

/** Earth tones and a texture each, so that it holds in print and for those who see no colours. */
export function Textures() {
  const pattern = (id: Texture, size: number, ground: string, marks: React.ReactNode) => (
    <pattern id={id} width={size} height={size} patternUnits="userSpaceOnUse">
      <rect width={size} height={size} fill={ground} />
      {marks}
    </pattern>
  )
  return (
    <defs>
      {pattern(
        'tex-eggs',
        8,
        '#fdfcf9',
        <path d="M4 1.5v4.5" stroke="#16202b" strokeWidth={1.4} />,
      )}
      {pattern(
        'tex-larvae',
        9,
        '#fdfcf9',
        <path d="M2.2 5.6a2.4 2.4 0 1 1 4.6 0" fill="none" stroke="#3d566b" strokeWidth={1.3} />,
      )}
      {pattern('tex-sealed', 7, '#c69b72', <circle cx={3.5} cy={3.5} r={1.2} fill="#a67a52" />)}
      {pattern(
        'tex-domed',
        11,
        '#d8bd97',
        <circle cx={5.5} cy={5.5} r={3.6} fill="#a67a52" stroke="#6d4d2f" />,
      )}
      {pattern(
        'tex-pollen',
        8,
        '#efd68b',
        <>
          <rect x={1} y={1} width={2.6} height={2.6} fill="#b4561f" />
          <rect x={5} y={5} width={2.6} height={2.6} fill="#8a6a1c" />
        </>,
      )}
      {pattern('tex-honey', 9, '#efdfa9', <path d="M0 4.5h9" stroke="#c2a24a" strokeWidth={1.4} />)}
      {pattern(
        'tex-nectar',
        9,
        '#f6ecc7',
        <circle cx={4.5} cy={4.5} r={2} fill="none" stroke="#c2a24a" />,
      )}
      {pattern('tex-comb', 9, '#f0ece0', <path d="M0 9 9 0" stroke="#d0c8b4" strokeWidth={0.8} />)}
      {pattern(
        'tex-foundation',
        6,
        '#fbfaf6',
        <path d="M0 6 6 0" stroke="#d9d5ca" strokeWidth={0.9} />,
      )}
    </defs>
  )
}
