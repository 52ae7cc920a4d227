import { useTranslation } from 'react-i18next'
import type { Sign } from '../api/types'
import type { Told } from './reading'

/** One sign on the pad: seen is filled in, looked for and absent is struck through, not looked at is bare. */
export function SignKey({ sign, told, onTap }: { sign: Sign; told: Told; onTap: () => void }) {
  const { t } = useTranslation()
  const look =
    told === 'seen'
      ? 'border-ink bg-ink text-paper'
      : told === 'absent'
        ? 'border-ink border-dashed line-through'
        : 'border-ink-3'
  return (
    <button
      className={`min-h-14 rounded-md border-2 px-3 py-1 text-left leading-5 first-letter:uppercase ${look}`}
      aria-label={`${t(`sign.${sign}`)}: ${t(`read.told.${told}`)}`}
      data-sign={sign}
      data-told={told}
      onClick={onTap}
    >
      {t(`sign.${sign}`)}
    </button>
  )
}
