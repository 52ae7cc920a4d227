import { useMutation } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { useSession } from '../session/queries'
import { Findings } from '../ui/Page'
import { Access } from './Access'
import { Members } from './Members'
import { OwnPassword } from './OwnPassword'

/** Who is in the operation, who is asked in, one's own password, and one's other devices. */
export function PeopleSection() {
  const { t } = useTranslation()
  const { role } = useSession()
  const elsewhere = useMutation({
    mutationFn: () => answered(api.DELETE('/api/v1/people/me/other-sessions')),
  })
  return (
    <section aria-labelledby="people" className="mt-10 max-w-3xl">
      <h2 id="people" className="text-xl">
        {t('people.title')}
      </h2>
      <p className="text-ink-2">{t('people.mayDo')}</p>
      {role === 'OWNER' && <Members />}
      <OwnPassword />
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <button className="act" disabled={elsewhere.isPending} onClick={() => elsewhere.mutate()}>
          {t('people.elsewhere')}
        </button>
        {elsewhere.isSuccess && <span role="status">{t('people.elsewhereDone')}</span>}
      </p>
      <Findings error={elsewhere.error} />
      {role === 'OWNER' && <Access />}
    </section>
  )
}
