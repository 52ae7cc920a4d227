import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { enter, NewCredentials } from '../session/enter'
import { changePerson } from '../session/queries'
import { ChoiceField, TextField } from '../ui/Fields'
import { Findings } from '../ui/Page'

const ZONES = Intl.supportedValuesOf('timeZone')
const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone

/** The first start: whoever reads the server's own window makes the operation and its owner. */
export default function FoundingScreen({ onFounded }: { onFounded: () => void }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const [draft, setDraft] = useState({
    code: '',
    operation: '',
    owner: '',
    email: '',
    password: '',
    zone: ZONES.includes(HERE) ? HERE : 'Europe/Zurich',
  })
  const found = useMutation({
    mutationFn: () => enter(draft, () => answered(api.POST('/api/v1/founding', { body: draft }))),
    onSuccess: (session) => {
      onFounded()
      changePerson(client, session)
    },
  })
  const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part })
  return (
    <main className="mx-auto max-w-2xl px-5 pt-12 pb-16">
      <title>{`${t('founding.title')} · Vivid Crown`}</title>
      <h1 className="text-4xl text-crown">{t('brand')}</h1>
      <p className="mt-2 font-read text-lg text-ink-2">{t('founding.lead')}</p>
      <form
        className="mt-6 grid gap-x-6 gap-y-4 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault()
          found.mutate()
        }}
      >
        <TextField
          name={t('founding.code')}
          wide
          required
          value={draft.code}
          onChange={(code) => set({ code })}
        />
        <TextField
          name={t('founding.operation')}
          required
          value={draft.operation}
          onChange={(operation) => set({ operation })}
        />
        <ChoiceField
          name={t('founding.zone')}
          value={draft.zone}
          choices={ZONES.includes(draft.zone) ? ZONES : [draft.zone, ...ZONES]}
          say={(zone) => zone.replaceAll('_', ' ')}
          onChange={(zone) => set({ zone })}
        />
        <TextField
          name={t('founding.owner')}
          required
          value={draft.owner}
          onChange={(owner) => set({ owner })}
        />
        <NewCredentials wide value={draft} onChange={set} />
        <div className="sm:col-span-2">
          <Findings error={found.error} />
          <button className="act act-main mt-2 text-lg" disabled={found.isPending}>
            {t('founding.act')}
          </button>
        </div>
      </form>
    </main>
  )
}
