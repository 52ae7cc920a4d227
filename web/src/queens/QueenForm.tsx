import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import type { Deed } from '../api/types'
import { hivesQuery } from '../colonies/queries'
import { useTell } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { ChoiceField, NumberField, TextField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'

/** A queen that is there already: bought, swarmed in, or older than the record. */
export function QueenForm({ onDone, mother = false }: { onDone: () => void; mother?: boolean }) {
  const { t } = useTranslation()
  const { today } = useSession()
  const tell = useTell()
  const hives =
    useQuery(hivesQuery).data?.filter(
      (one) => one.purpose !== 'BUILDER' && one.purpose !== 'BANK',
    ) ?? []
  const [queen] = useState(() => uuidv7())
  const [draft, setDraft] = useState({
    code: '',
    name: '',
    line: '',
    year: undefined as number | undefined,
    breeder: mother,
    hive: '',
  })
  const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part })
  const send = () => {
    const { hive, breeder } = draft
    const deeds: Deed[] = [
      {
        kind: 'QUEEN_KNOWN',
        queen,
        code: draft.code.trim(),
        name: draft.name.trim(),
        line: draft.line.trim(),
        breeder,
        stage: 'LAYING',
        emergenceYear: draft.year ?? 0,
      },
    ]
    if (hive) {
      deeds.push({
        kind: 'QUEEN_PLACED',
        queen,
        hive,
        given: 'LAYING_QUEEN',
        besideAnother: false,
      })
    }
    return tell(deeds)
  }
  return (
    <SavedForm send={send} onDone={onDone} name={t('queenForm.save')}>
      <TextField
        name={t('queenForm.code')}
        required
        value={draft.code}
        onChange={(code) => set({ code })}
      />
      <TextField name={t('queenForm.name')} value={draft.name} onChange={(name) => set({ name })} />
      <TextField name={t('queenForm.line')} value={draft.line} onChange={(line) => set({ line })} />
      <NumberField
        name={t('queenForm.year')}
        min={1950}
        max={Number(today.slice(0, 4))}
        value={draft.year}
        onChange={(year) => set({ year })}
      />
      <ChoiceField
        name={t('queenForm.hive')}
        value={draft.hive}
        choices={['', ...hives.map((one) => one.id)]}
        say={(id) => hives.find((one) => one.id === id)?.code ?? t('queenForm.nowhere')}
        onChange={(hive) => set({ hive })}
      />
      <label className="flex min-h-11 items-center gap-3 self-end">
        <input
          type="checkbox"
          className="size-5"
          checked={draft.breeder}
          onChange={(event) => set({ breeder: event.target.checked })}
        />
        {t('queenForm.breeder')}
      </label>
    </SavedForm>
  )
}
