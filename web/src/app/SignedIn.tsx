import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { NavLink } from 'react-router'
import { answered, api } from '../api/client'
import { changePerson, useSession } from '../session/queries'

export function SignedIn() {
  const { t } = useTranslation()
  const session = useSession()
  const client = useQueryClient()
  const signOut = useMutation({
    mutationFn: () => answered(api.DELETE('/api/v1/session')),
    onSuccess: () => changePerson(client, null),
  })
  return (
    <>
      <span className="hidden md:block">{session.name}</span>
      <NavLink className="mr-3 inline-block min-h-8 underline" to="/settings">
        {t('nav.settings')}
      </NavLink>
      <button className="min-h-8 underline" onClick={() => signOut.mutate()}>
        {t('nav.signOut')}
      </button>
    </>
  )
}
