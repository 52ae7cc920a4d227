import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { ChoiceField, TextField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'
import { LinkShown, ROLES } from './LinkShown'

/** Asks somebody in by a link. */
export function Invite() {
  const { t } = useTranslation()
  const [draft, setDraft] = useState({ name: '', role: 'CREW' as (typeof ROLES)[number] })
  const [link, setLink] = useState('')
  return (
    <>
      <SavedForm
        send={async () => {
          const made = await answered(api.POST('/api/v1/people/invitations', { body: draft }))
          setLink(window.location.origin + made.path)
        }}
        onDone={() => setDraft({ name: '', role: 'CREW' })}
        name={t('people.invite')}
      >
        <TextField
          name={t('people.name')}
          required
          value={draft.name}
          onChange={(name) => setDraft({ ...draft, name })}
        />
        <ChoiceField
          name={t('people.role')}
          value={draft.role}
          choices={ROLES}
          say={(one) => t(`people.roles.${one}`)}
          onChange={(role) => setDraft({ ...draft, role })}
        />
      </SavedForm>
      <LinkShown link={link} />
    </>
  )
}
