import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import type { BuilderSetUp, BuilderView } from '../api/types'
import { ChoiceField, NumberField, TextField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'
import { yardsQuery } from '../yards/queries'

const SCHOOLS: BuilderView['school'][] = [
  'STARTER_THEN_FINISHER',
  'STARTER_FINISHER',
  'QUEENRIGHT_EXCLUDER',
]

/** Sets a builder up, or changes it: its load, or its strength instead. */
export function BuilderForm({ builder, onDone }: { builder?: BuilderView; onDone: () => void }) {
  const { t } = useTranslation()
  const yards = useQuery(yardsQuery)
  const [id] = useState(() => builder?.id ?? uuidv7())
  const [draft, setDraft] = useState<BuilderSetUp>({
    yard: builder?.yardId ?? '',
    code: builder?.code ?? '',
    position: builder?.position ?? 1,
    school: builder?.school ?? 'STARTER_THEN_FINISHER',
    load: builder?.load ?? 20,
  })
  const send = () =>
    answered(
      api.PUT('/api/v1/builders/{id}', {
        params: { path: { id } },
        body: { ...draft, yard: draft.yard || (yards.data?.[0]?.id ?? '') },
      }),
    )
  return (
    <SavedForm send={send} onDone={onDone} name={t('builders.save')}>
      <TextField
        name={t('builders.code')}
        required
        value={draft.code}
        onChange={(code) => setDraft({ ...draft, code })}
      />
      <ChoiceField
        name={t('builders.yard')}
        value={draft.yard}
        choices={(yards.data ?? []).map((yard) => yard.id)}
        say={(id) => yards.data?.find((yard) => yard.id === id)?.name ?? ''}
        onChange={(yard) => setDraft({ ...draft, yard })}
      />
      <NumberField
        name={t('builders.position')}
        required
        min={1}
        value={draft.position}
        onChange={(position) => setDraft({ ...draft, position: position ?? 1 })}
      />
      <ChoiceField
        name={t('builders.school')}
        value={draft.school}
        choices={SCHOOLS}
        say={(school) => t(`builders.schools.${school}`)}
        onChange={(school) => setDraft({ ...draft, school })}
      />
      <NumberField
        name={t('builders.load')}
        min={1}
        max={45}
        value={draft.load}
        onChange={(load) => setDraft({ ...draft, load, framesOfBees: undefined })}
      />
      <NumberField
        name={t('builders.frames')}
        min={0}
        max={40}
        step={0.5}
        value={draft.framesOfBees}
        onChange={(framesOfBees) => setDraft({ ...draft, framesOfBees, load: undefined })}
      />
    </SavedForm>
  )
}
