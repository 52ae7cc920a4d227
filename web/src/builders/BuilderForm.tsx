import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import type { BuilderView, Deed } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { settingsQuery } from '../settings/queries'
import { ChoiceField, NumberField, TextField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'
import { yardsQuery } from '../yards/queries'

const SCHOOLS: BuilderView['school'][] = [
  'STARTER_THEN_FINISHER',
  'STARTER_FINISHER',
  'QUEENRIGHT_EXCLUDER',
]
const FRAMES = 10

/** Sets a hive up as a builder, or changes how one is run. */
export function BuilderForm({ builder, onDone }: { builder?: BuilderView; onDone: () => void }) {
  const { t } = useTranslation()
  const yards = useQuery(yardsQuery)
  const formats = Object.keys(useQuery(settingsQuery).data?.formats ?? {})
  const tell = useTell()
  const [ids] = useState(() => ({ hive: builder?.id ?? uuidv7(), box: uuidv7() }))
  const [draft, setDraft] = useState({
    yard: builder?.yardId ?? '',
    code: builder?.code ?? '',
    position: builder?.position ?? 1,
    format: '',
    school: builder?.school ?? ('STARTER_THEN_FINISHER' as const),
    load: (builder?.load ?? 20) as number | undefined,
    framesOfBees: undefined as number | undefined,
  })
  const yard = draft.yard || (yards.data?.[0]?.id ?? '')
  const send = () => {
    const { hive } = ids
    const code = draft.code.trim()
    const { position, school, load, framesOfBees } = draft
    const deeds: Deed[] = []
    if (!builder) {
      const format = draft.format || (formats[0] ?? '')
      const box = { id: ids.box, kind: 'BROOD' as const, format, slots: FRAMES, frames: FRAMES }
      const stack = [box]
      deeds.push({ kind: 'HIVE_SET_UP', hive, yard, code, position, purpose: 'BUILDER', stack })
    } else {
      if (code !== builder.code) deeds.push({ kind: 'HIVE_RENAMED', hive, code })
      if (yard !== builder.yardId || position !== builder.position) {
        deeds.push({ kind: 'HIVE_MOVED', hive, yard, position })
      }
    }
    return tell([...deeds, { kind: 'BUILDER_RUN', hive, school, load, framesOfBees }])
  }
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
        value={yard}
        choices={(yards.data ?? []).map((one) => one.id)}
        say={(id) => yards.data?.find((one) => one.id === id)?.name ?? ''}
        onChange={(next) => setDraft({ ...draft, yard: next })}
      />
      <NumberField
        name={t('builders.position')}
        required
        min={1}
        value={draft.position}
        onChange={(position) => setDraft({ ...draft, position: position ?? 1 })}
      />
      {!builder && formats.length > 0 && (
        <ChoiceField
          name={t('setUp.format')}
          value={draft.format || (formats[0] ?? '')}
          choices={formats}
          say={(format) => format}
          onChange={(format) => setDraft({ ...draft, format })}
        />
      )}
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
