import { useTranslation } from 'react-i18next'
import { useSession } from '../session/queries'
import { sayDay } from '../time/days'

/** When something comes again. */
export function Due({ day }: { day: string }) {
  const { t } = useTranslation()
  const { today } = useSession()
  return day <= today ? t('train.result.dueToday') : t('train.result.due', { day: sayDay(day) })
}
