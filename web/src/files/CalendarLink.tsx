import { useMutation } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { useSession } from '../session/queries'
import { Findings } from '../ui/Page'

export function CalendarLink() {
  const { t } = useTranslation()
  const session = useSession()
  const link = useMutation({ mutationFn: () => answered(api.POST('/api/v1/calendar-link')) })
  return (
    <div className="mt-4">
      <button className="act" onClick={() => link.mutate()} disabled={link.isPending}>
        {session.hasCalendarLink ? t('files.newLink') : t('files.link')}
      </button>
      {link.data && (
        <p className="mt-2">
          {t('files.linkIs')}
          <output className="block font-bold break-all">{`${location.origin}${link.data.path}`}</output>
        </p>
      )}
      <Findings error={link.error} />
    </div>
  )
}
