import { useTranslation } from 'react-i18next'
import { useSystem } from '../units/useSay'

/** A sheet to be printed, on the paper that is usual where one measures so. */
export function PaperLink({ path }: { path: string }) {
  const { t } = useTranslation()
  const paper = useSystem() === 'US' ? 'LETTER' : 'A4'
  return (
    <a
      className="act inline-flex items-center"
      href={`${path}?paper=${paper}`}
      target="_blank"
      rel="noreferrer"
    >
      {t('making.sheet')}
    </a>
  )
}
