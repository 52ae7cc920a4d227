import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { changePerson } from '../session/queries'
import { Labelled, TextField } from '../ui/Fields'
import { Answer, Findings } from '../ui/Page'
import { invitationQuery } from './queries'

/** Where the link of an invitation leads: a name, an address, a password, and one is in. */
export default function JoinScreen({ secret, onIn }: { secret: string; onIn: () => void }) {
  const { t } = useTranslation()
  const query = useQuery(invitationQuery(secret))
  return (
    <main className="mx-auto max-w-sm px-5 pt-16">
      <title>{`${t('join.title')} · Vivid Crown`}</title>
      <h1 className="text-4xl text-crown">{t('brand')}</h1>
      <Answer query={query}>
        {(invitation) => (
          <>
            <p className="mt-2 font-read text-lg text-ink-2">
              {t('join.lead', { operation: invitation.operation })}
            </p>
            <JoinForm secret={secret} name={invitation.name} onIn={onIn} />
          </>
        )}
      </Answer>
    </main>
  )
}

function JoinForm(props: { secret: string; name: string; onIn: () => void }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const [draft, setDraft] = useState({ name: props.name, email: '', password: '' })
  const join = useMutation({
    mutationFn: async () => {
      // The first answer carries the token that the next request must show.
      await fetch('/api/v1/session')
      const path = { secret: props.secret }
      await answered(
        api.POST('/api/v1/people/invitations/{secret}', { params: { path }, body: draft }),
      )
      const { email, password } = draft
      return answered(api.POST('/api/v1/session', { body: { email, password } }))
    },
    onSuccess: (session) => {
      props.onIn()
      changePerson(client, session)
    },
  })
  return (
    <form
      className="mt-6 space-y-4"
      onSubmit={(event) => {
        event.preventDefault()
        join.mutate()
      }}
    >
      <TextField
        name={t('founding.owner')}
        required
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
      />
      <Labelled name={t('signIn.email')}>
        <input
          className="field"
          type="email"
          autoComplete="username"
          required
          value={draft.email}
          onChange={(event) => setDraft({ ...draft, email: event.target.value })}
        />
      </Labelled>
      <Labelled name={t('founding.password')}>
        <input
          className="field"
          type="password"
          autoComplete="new-password"
          required
          minLength={10}
          value={draft.password}
          onChange={(event) => setDraft({ ...draft, password: event.target.value })}
        />
      </Labelled>
      <Findings error={join.error} />
      <button className="act act-main w-full text-lg" disabled={join.isPending}>
        {t('join.act')}
      </button>
    </form>
  )
}
