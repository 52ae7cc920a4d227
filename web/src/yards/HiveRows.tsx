import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import type { Deed, HiveLine } from '../api/types'
import { useHives } from '../colonies/pending'
import { useTell } from '../outbox/useRecord'
import { settingsQuery } from '../settings/queries'
import { ChoiceField, NumberField, TextField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'
import { codesInRow, nextNumber } from './codes'
import { yardsQuery } from './queries'

type Purpose = HiveLine['purpose']
const PURPOSES: Purpose[] = ['MATING_NUC', 'MINI_NUC', 'NUC', 'PRODUCTION', 'DRONE_COLONY', 'BANK']
const USUAL_FRAMES: Record<Purpose, number> = {
  MATING_NUC: 5,
  MINI_NUC: 3,
  NUC: 5,
  PRODUCTION: 10,
  DRONE_COLONY: 10,
  BANK: 10,
  BUILDER: 10,
}
const MOST = 200

/** Sets up a whole row of hives that are alike, one entry each. */
export function HiveRows({
  yard: here,
  prefix: usual,
  onDone,
}: {
  yard?: string
  prefix?: string
  onDone: () => void
}) {
  const { t } = useTranslation()
  const yards = useQuery(yardsQuery).data?.filter((one) => !one.closedOn) ?? []
  const hives = useHives()
  const formats = Object.keys(useQuery(settingsQuery).data?.formats ?? {})
  const tell = useTell()
  const [ids] = useState(() => Array.from({ length: MOST }, () => [uuidv7(), uuidv7()] as const))
  const [draft, setDraft] = useState({
    yard: here ?? '',
    purpose: 'MATING_NUC' as Purpose,
    format: '',
    prefix: usual ?? '',
    from: undefined as number | undefined,
    count: 12 as number | undefined,
    frames: undefined as number | undefined,
  })
  const yard = draft.yard || (yards[0]?.id ?? '')
  const from =
    draft.from ??
    nextNumber(
      draft.prefix,
      hives.map((one) => one.code),
    )
  const codes = codesInRow(draft.prefix, from, Math.min(draft.count ?? 0, MOST))
  const frames = draft.frames ?? USUAL_FRAMES[draft.purpose]
  const send = () => {
    const format = draft.format || (formats[0] ?? '')
    const first = Math.max(
      0,
      ...hives.filter((one) => one.yardId === yard).map((one) => one.position),
    )
    return tell(
      codes.map((code, index): Deed => {
        const [hive, box] = ids[index] ?? [uuidv7(), uuidv7()]
        return {
          kind: 'HIVE_SET_UP',
          hive,
          yard,
          code,
          position: first + index + 1,
          purpose: draft.purpose,
          stack: [{ id: box, kind: 'BROOD', format, slots: frames, frames }],
        }
      }),
    )
  }
  return (
    <SavedForm send={send} onDone={onDone} name={t('rows.save', { count: codes.length })}>
      {!here && (
        <ChoiceField
          name={t('rows.yard')}
          value={yard}
          choices={yards.map((one) => one.id)}
          say={(id) => yards.find((one) => one.id === id)?.name ?? ''}
          onChange={(next) => setDraft({ ...draft, yard: next })}
        />
      )}
      <ChoiceField
        name={t('rows.purpose')}
        value={draft.purpose}
        choices={PURPOSES}
        say={(one) => t(`purpose.${one}`)}
        onChange={(purpose) => setDraft({ ...draft, purpose })}
      />
      {formats.length > 0 && (
        <ChoiceField
          name={t('setUp.format')}
          value={draft.format || (formats[0] ?? '')}
          choices={formats}
          say={(format) => format}
          onChange={(format) => setDraft({ ...draft, format })}
        />
      )}
      <NumberField
        name={t('rows.frames')}
        min={1}
        max={24}
        value={frames}
        onChange={(next) => setDraft({ ...draft, frames: next })}
      />
      <TextField
        name={t('rows.prefix')}
        value={draft.prefix}
        onChange={(prefix) => setDraft({ ...draft, prefix })}
      />
      <NumberField
        name={t('rows.from')}
        required
        min={1}
        max={9999}
        value={from}
        onChange={(next) => setDraft({ ...draft, from: next })}
      />
      <NumberField
        name={t('rows.count')}
        required
        min={1}
        max={MOST}
        value={draft.count}
        onChange={(count) => setDraft({ ...draft, count })}
      />
      <p className="self-end font-read text-lg sm:col-span-2" role="status">
        {codes.length > 1 ? `${codes[0]} – ${codes.at(-1)}` : codes[0]}
      </p>
    </SavedForm>
  )
}
