import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { useSession } from '../session/queries'
import { sayDay } from '../time/days'
import { ChoiceField, Labelled, TextField } from '../ui/Fields'
import { Answer, Findings } from '../ui/Page'
import { SavedForm } from '../ui/SavedForm'
import { peopleQuery } from './queries'

const ROLES = ['CREW', 'OWNER'] as const

/** Who is in the operation, who is asked in, and one's own password. */
export function PeopleSection() {
  const { t } = useTranslation()
  const { role } = useSession()
  return (
    <section aria-labelledby="people" className="mt-10 max-w-3xl">
      <h2 id="people" className="text-xl">
        {t('people.title')}
      </h2>
      <p className="text-ink-2">{t('people.mayDo')}</p>
      {role === 'OWNER' && <Members />}
      <OwnPassword />
    </section>
  )
}

function Members() {
  const { t } = useTranslation()
  const query = useQuery(peopleQuery)
  const { personId } = useSession()
  const client = useQueryClient()
  const [asked, setAsked] = useState<string>()
  const leaves = useMutation({
    mutationFn: (id: string) =>
      answered(api.DELETE('/api/v1/people/{id}', { params: { path: { id } } })),
    onSettled: () => {
      setAsked(undefined)
      return client.invalidateQueries({ queryKey: ['people'] })
    },
  })
  return (
    <Answer query={query}>
      {({ people, invited }) => (
        <>
          <ul className="mt-2 border-t-2 border-ink">
            {people.map((one) => (
              <li
                key={one.id}
                className="flex flex-wrap items-center gap-x-4 border-b border-rule py-2"
                data-testid="person"
              >
                <strong className="min-w-40">{one.name}</strong>
                <span>{t(`people.roles.${one.role}`)}</span>
                <span className="text-ink-2">{one.email}</span>
                {one.id !== personId && (
                  <button
                    className="act ml-auto"
                    onClick={() => (asked === one.id ? leaves.mutate(one.id) : setAsked(one.id))}
                  >
                    {t(asked === one.id ? 'people.leavesNow' : 'people.leaves', {
                      name: one.name,
                    })}
                  </button>
                )}
              </li>
            ))}
            {invited.map((one) => (
              <li key={one.name + one.expiresAt} className="border-b border-rule py-2 text-ink-2">
                {t('people.waits', {
                  name: one.name,
                  role: t(`people.roles.${one.role}`),
                  day: sayDay(one.expiresAt.slice(0, 10)),
                })}
              </li>
            ))}
          </ul>
          <Findings error={leaves.error} />
          <Invite />
        </>
      )}
    </Answer>
  )
}

function Invite() {
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
      {link && (
        <p role="status" className="font-semibold">
          {t('people.link')}{' '}
          <code className="block bg-sheet p-2 font-normal break-all select-all">{link}</code>
        </p>
      )}
    </>
  )
}

function OwnPassword() {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  const [draft, setDraft] = useState({ current: '', next: '' })
  const field = (name: 'current' | 'next', complete: string) => (
    <Labelled name={t(`people.password.${name}`)}>
      <input
        className="field"
        type="password"
        autoComplete={complete}
        required
        minLength={name === 'next' ? 10 : 1}
        value={draft[name]}
        onChange={(event) => setDraft({ ...draft, [name]: event.target.value })}
      />
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
