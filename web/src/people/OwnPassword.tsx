import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { Labelled } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'

/** Every other session of one's own ends with the old password. */
export function OwnPassword() {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  const [draft, setDraft] = useState({ current: '', next: '' })
  const field = (name: 'current' | 'next', complete: string) => (
    <Labelled name={t(`people.password.${name}`)}>
      {(id) => (
        <input
          id={id}
          className="field"
          type="password"
          autoComplete={complete}
          required
          minLength={name === 'next' ? 10 : 1}
          value={draft[name]}
          onChange={(event) => setDraft({ ...draft, [name]: event.target.value })}
        />
      )}
    </Labelled>
  )
  return (
    <>
      <button className="act mt-4" aria-expanded={open} onClick={() => setOpen(!open)}>
        {t('people.password.open')}
      </button>
      {open && (
        <SavedForm
          send={() => answered(api.POST('/api/v1/people/me/password', { body: draft }))}
          onDone={() => {
            setDraft({ current: '', next: '' })
            setOpen(false)
          }}
          name={t('people.password.keep')}
        >
          {field('current', 'current-password')}
          {field('next', 'new-password')}
        </SavedForm>
      )}
    </>
  )
}
