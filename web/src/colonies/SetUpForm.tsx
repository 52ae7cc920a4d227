import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import type { ColonyPage, Deed } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { settingsQuery } from '../settings/queries'
import { ChoiceField, NumberField, TextField, TickField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'
import { Said } from '../ui/Said'
import { yardsQuery } from '../yards/queries'
import { MoveAdvice } from './MoveAdvice'

type Purpose = ColonyPage['colony']['purpose']
const PURPOSES: Purpose[] = [
  'PRODUCTION',
  'DRONE_COLONY',
  'BUILDER',
  'MATING_NUC',
  'MINI_NUC',
  'NUC',
  'BANK',
]

/** Sets a hive up, or changes what and where it is; everything typed stays where the server refuses it. */
export function SetUpForm({ page, onDone }: { page?: ColonyPage; onDone: () => void }) {
  const { t } = useTranslation()
  const yards = (useQuery(yardsQuery).data ?? []).filter(
    (one) => !one.closedOn || one.id === page?.colony.yard,
  )
  const formats = Object.keys(useQuery(settingsQuery).data?.formats ?? {})
  const [ids] = useState(() => ({ hive: page?.colony.id ?? uuidv7(), box: uuidv7() }))
  const [draft, setDraft] = useState({
    code: page?.colony.code ?? '',
    yard: page?.colony.yard ?? '',
    position: (page?.position ?? 1) as number | undefined,
    purpose: page?.colony.purpose ?? ('PRODUCTION' as Purpose),
    frames: 10 as number | undefined,
    format: '',
    queen: page?.queens[0]?.code ?? '',
    droneComb: page?.droneCombOn !== undefined,
  })
  const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part })
  const yard = draft.yard || (yards[0]?.id ?? '')
  const tell = useTell()
  const send = async () => {
    const queen = await queenCalled(draft.queen, () => t('setUp.noQueen', { code: draft.queen }))
    const deeds = page
      ? changed(page, { ...draft, yard })
      : [setUp(ids, { ...draft, yard, format: draft.format || (formats[0] ?? '') })]
    const { hive } = ids
    if (queen && !page?.queens.some((one) => one.id === queen.id)) {
      deeds.push({
        kind: 'QUEEN_PLACED',
        queen: queen.id,
        hive,
        given: 'LAYING_QUEEN',
        besideAnother: false,
      })
    }
    if (draft.droneComb !== (page?.droneCombOn !== undefined)) {
      deeds.push({ kind: draft.droneComb ? 'DRONE_COMB_IN' : 'DRONE_COMB_OUT', hive })
    }
    return deeds.length > 0 ? tell(deeds) : undefined
  }
  return (
    <SavedForm send={send} onDone={onDone} name={t('setUp.keep')}>
      <TextField
        name={t('setUp.code')}
        required
        maxLength={20}
        value={draft.code}
        onChange={(code) => set({ code })}
      />
      <ChoiceField
        name={t('setUp.yard')}
        value={yard}
        choices={yards.map((one) => one.id)}
        say={(id) => yards.find((one) => one.id === id)?.name ?? ''}
        onChange={(next) => set({ yard: next })}
      />
      <NumberField
        name={t('setUp.position')}
        required
        min={1}
        value={draft.position}
        onChange={(position) => set({ position })}
      />
      <ChoiceField
        name={t('setUp.purpose')}
        value={draft.purpose}
        choices={PURPOSES}
        say={(one) => t(`purpose.${one}`)}
        onChange={(purpose) => set({ purpose })}
      />
      {!page && (
        <>
          <NumberField
            name={t('setUp.frames')}
            required
            min={1}
            max={24}
            value={draft.frames}
            onChange={(frames) => set({ frames })}
          />
          <ChoiceField
            name={t('setUp.format')}
            value={draft.format || (formats[0] ?? '')}
            choices={formats}
            say={(one) => one}
            onChange={(format) => set({ format })}
          />
        </>
      )}
      <TextField name={t('setUp.queen')} value={draft.queen} onChange={(queen) => set({ queen })} />
      <TickField
        name={t('setUp.droneComb')}
        value={draft.droneComb}
        onChange={(droneComb) => set({ droneComb })}
      />
      {page && yard !== page.colony.yard && <MoveAdvice hive={ids.hive} yard={yard} />}
    </SavedForm>
  )
}

type Filled = {
  code: string
  yard: string
  position: number | undefined
  purpose: Purpose
  frames: number | undefined
  format: string
}

function setUp(ids: { hive: string; box: string }, filled: Filled): Deed {
  const slots = filled.frames ?? 10
  return {
    kind: 'HIVE_SET_UP',
    hive: ids.hive,
    code: filled.code.trim(),
    yard: filled.yard,
    position: filled.position ?? 1,
    purpose: filled.purpose,
    stack: [{ id: ids.box, kind: 'BROOD', format: filled.format, slots, frames: slots }],
  }
}

function changed(page: ColonyPage, filled: Filled): Deed[] {
  const { colony } = page
  const hive = colony.id
  const deeds: Deed[] = []
  const position = filled.position ?? page.position
  if (filled.code.trim() !== colony.code) {
    deeds.push({ kind: 'HIVE_RENAMED', hive, code: filled.code.trim() })
  }
  if (filled.yard !== colony.yard || position !== page.position) {
    deeds.push({ kind: 'HIVE_MOVED', hive, yard: filled.yard, position })
  }
  if (filled.purpose !== colony.purpose) {
    deeds.push({ kind: 'HIVE_REPURPOSED', hive, purpose: filled.purpose })
  }
  return deeds
}

async function queenCalled(code: string, unknown: () => string) {
  const wanted = code.trim().toLowerCase()
  if (!wanted) return undefined
  const { items } = await answered(
    api.GET('/api/v1/queens', { params: { query: { search: wanted } } }),
  )
  const queen = items.find((one) => one.code.toLowerCase() === wanted)
  if (!queen) throw new Said(unknown())
  return queen
}
