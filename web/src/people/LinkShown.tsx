import { useTranslation } from 'react-i18next'

export const ROLES = ['CREW', 'OWNER'] as const

/** A link that works once, to be handed on; it is shown this once. */
export function LinkShown({ link }: { link: string }) {
  const { t } = useTranslation()
  if (!link) return null
  return (
    <p role="status" className="font-semibold">
      {t('people.link')}{' '}
      <code className="block bg-sheet p-2 font-normal break-all select-all">{link}</code>
    </p>
  )
}
