import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import type { Settings } from '../api/types'
import { enter, NewCredentials } from '../session/enter'
import { changePerson } from '../session/queries'
import { DATES, sayLanguage, USUAL_DATES } from '../settings/dates'
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
    units: 'METRIC' as Settings['units'],
    dates: DATES.find((one) => navigator.language.startsWith(one)) ?? USUAL_DATES,
    zone: ZONES.includes(HERE) ? HERE : 'Europe/Zurich',
  })
  const found = useMutation({
    mutationFn: async () => {
      const { units, dates, ...body } = draft
      const session = await enter(draft, () => answered(api.POST('/api/v1/founding', { body })))
      if (units !== 'METRIC' || dates !== USUAL_DATES) await reads({ units, dates })
      return session
    },
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
        <ChoiceField
          name={t('settings.units')}
          value={draft.units}
          choices={['METRIC', 'US'] as const}
          say={(one) => t(`settings.${one}`)}
          onChange={(units) => set({ units })}
        />
        <ChoiceField
          name={t('settings.dates')}
          value={draft.dates}
          choices={DATES}
          say={sayLanguage}
          onChange={(dates) => set({ dates })}
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

/** The first thing that is recorded: how the operation reads weights, temperatures and days. */
async function reads(way: Pick<Settings, 'units' | 'dates'>) {
  const { operation, settings } = await answered(api.GET('/api/v1/settings'))
  const deed = { kind: 'SETTINGS_CHANGED' as const, operation, settings: { ...settings, ...way } }
  const happenedAt = new Date().toISOString()
  await answered(
    api.POST('/api/v1/journal', { body: { entries: [{ id: uuidv7(), happenedAt, deed }] } }),
  )
}
