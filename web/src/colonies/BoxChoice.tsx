import { useTranslation } from 'react-i18next'
import type { StackBox } from '../api/types'

/** Boxes that hold frames, from the bottom up. */
export const boxesOf = (stack: StackBox[]): StackBox[] => stack.filter((box) => box.slots > 0)

/** Slots of a box in which a frame hangs. */
export const hangingIn = (box: StackBox | undefined): ReadonlySet<number> | undefined =>
  box && new Set(box.frames.map((frame) => frame.slot))

const SEAMS = Array.from({ length: 25 }, (_, index) => index / 2)

/** Which box of the stack is read, and how many of its seams are covered. */
export function BoxChoice({
  boxes,
  level,
  seams,
  onLevel,
  onSeams,
}: {
  boxes: StackBox[]
  level: number
  seams: number | undefined
  onLevel: (level: number) => void
  onSeams: (seams: number | undefined) => void
}) {
  const { t } = useTranslation()
  return (
    <div className="mb-2 flex flex-wrap items-end gap-2" role="group" aria-label={t('read.boxes')}>
      {boxes.map((box) => (
        <button
          key={box.id}
          className={`act ${box.level === level ? 'act-main' : ''}`}
          aria-pressed={box.level === level}
          onClick={() => onLevel(box.level)}
        >
          {t(`boxKind.${box.kind}`)} {box.level}
        </button>
      ))}
      <label className="ml-auto">
        <span className="block text-sm text-ink-2">{t('read.seams', { level })}</span>
        <select
          className="field min-h-12"
          value={seams ?? ''}
          onChange={(event) =>
            onSeams(event.target.value === '' ? undefined : Number(event.target.value))
          }
        >
          <option value="">{t('read.notCounted')}</option>
          {SEAMS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </label>
    </div>
  )
}
