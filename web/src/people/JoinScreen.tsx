import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { enter, NewCredentials } from '../session/enter'
import { changePerson } from '../session/queries'
import { TextField } from '../ui/Fields'
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
              {t(invitation.email ? 'join.newPassword' : 'join.lead', {
                operation: invitation.operation,
                email: invitation.email,
              })}
            </p>
            <JoinForm secret={secret} name={invitation.name} email={invitation.email} onIn={onIn} />
          </>
        )}
      </Answer>
    </main>
  )
}

function JoinForm(props: {
  secret: string
  name: string
  /** of somebody who is in already and chooses a new password */
  email: string | undefined
  onIn: () => void
}) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const [draft, setDraft] = useState({ name: props.name, email: props.email ?? '', password: '' })
  const join = useMutation({
    mutationFn: () => {
      const path = { secret: props.secret }
      return enter(draft, () =>
        answered(
          api.POST('/api/v1/people/invitations/{secret}', { params: { path }, body: draft }),
        ),
      )
    },
    onSuccess: (session) => {
      changePerson(client, session)
      props.onIn()
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
      {!props.email && (
        <TextField
          name={t('founding.owner')}
          required
          value={draft.name}
          onChange={(name) => setDraft({ ...draft, name })}
        />
      )}
      <NewCredentials
        value={draft}
        known={props.email !== undefined}
        onChange={(next) => setDraft({ ...draft, ...next })}
      />
      <Findings error={join.error} />
      <button className="act act-main w-full text-lg" disabled={join.isPending}>
        {t('join.act')}
      </button>
    </form>
  )
}
