import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import type { Deed, QueenPage, Settings } from '../api/types'
import { useHives } from '../colonies/pending'
import { useTell } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { ChoiceField, NumberField, TextField, TickField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'
import { COLOURS } from './colours'
import { MotherProposed } from './MotherProposed'
import { breedersQuery } from './queries'

const ORIGINS = [
  '',
  'BOUGHT',
  'SWARM',
  'SWARM_CELL',
  'EMERGENCY_CELL',
  'SUPERSEDURE_CELL',
  'OWN_CELL',
  'UNKNOWN',
] as const
type Origin = (typeof ORIGINS)[number]
const ofHive = (origin: Origin) => origin !== '' && origin !== 'BOUGHT' && origin !== 'UNKNOWN'
/** Raised where her mother laid; the queen of a swarm is the old one. */
const isRaised = (origin: Origin) => origin.endsWith('_CELL') && origin !== 'OWN_CELL'
const STAGES = ['LAYING', 'JUDGED', 'VIRGIN', 'DRONE_LAYER'] as const
type Stage = (typeof STAGES)[number]

const isStated = (stage: string): stage is Stage => STAGES.some((one) => one === stage)

/** A queen that is there already: bought, swarmed in, or older than the record. Said again, the last to speak is right. */
export function QueenForm({
  onDone,
  mother = false,
  page,
}: {
  onDone: () => void
  mother?: boolean
  page?: QueenPage
}) {
  const { t } = useTranslation()
  const { today } = useSession()
  const tell = useTell()
  const all = useHives()
  const hives = all.filter((one) => one.purpose !== 'BUILDER' && one.purpose !== 'BANK')
  const mothers = useQuery(breedersQuery).data ?? []
  const known = page?.queen
  const [queen] = useState(() => known?.id ?? uuidv7())
  const [proposed, setProposed] = useState<{ id: string; name: string }>()
  const [draft, setDraft] = useState({
    code: known?.code ?? '',
    name: known?.name ?? '',
    line: page?.line ?? '',
    year: known?.emergenceYear || undefined,
    breeder: page?.breeder ?? mother,
    stage: known && isStated(known.stage) ? known.stage : ('LAYING' as Stage),
    mother: known?.motherId ?? '',
    origin: (page?.origin?.kind ?? '') as Origin,
    from: page?.origin?.from ?? '',
    raisedIn: page?.origin?.hive ?? '',
    wears: (page?.wears ?? '') as Settings['marking'][number] | '',
    hive: '',
    beside: false,
  })
  const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part })
  const send = () => {
    const { hive, breeder, stage, origin, from, raisedIn, wears, beside } = draft
    const deeds: Deed[] = [
      {
        kind: 'QUEEN_KNOWN',
        queen,
        code: draft.code.trim(),
        name: draft.name.trim(),
        line: draft.line.trim(),
        breeder,
        stage,
        emergenceYear: draft.year ?? 0,
        ...(draft.mother ? { mother: draft.mother } : {}),
        ...(origin
          ? {
              origin: {
                kind: origin,
                from: from.trim(),
                ...(raisedIn && ofHive(origin) ? { hive: raisedIn } : {}),
              },
            }
          : {}),
        ...(wears ? { wears } : {}),
      },
    ]
    if (hive) {
      deeds.push({
        kind: 'QUEEN_PLACED',
        queen,
        hive,
        given: stage === 'VIRGIN' ? 'VIRGIN' : 'LAYING_QUEEN',
        besideAnother: beside,
      })
    }
    return tell(deeds)
  }
  return (
    <SavedForm send={send} onDone={onDone} name={t(page ? 'queenForm.change' : 'queenForm.save')}>
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
        name={t('queenForm.stage')}
        value={draft.stage}
        choices={STAGES}
        say={(one) => t(`knownStage.${one}`)}
        onChange={(stage) => set({ stage })}
      />
      <ChoiceField
        name={t('queenForm.mother')}
        value={draft.mother}
        choices={[
          '',
          ...new Set([
            ...(known?.motherId ? [known.motherId] : []),
            ...(proposed ? [proposed.id] : []),
            ...mothers.map((one) => one.id).filter((one) => one !== queen),
          ]),
        ]}
        say={(id) =>
          id === known?.motherId
            ? (known.mother ?? '')
            : (mothers.find((one) => one.id === id)?.code ??
              (id === proposed?.id ? proposed.name : t('queenForm.notKnown')))
        }
        onChange={(next) => set({ mother: next })}
      />
      <ChoiceField
        name={t('queenForm.origin')}
        value={draft.origin}
        choices={ORIGINS}
        say={(one) => t(one ? `origin.${one}` : 'queenForm.notSaid')}
        onChange={(origin) => set({ origin })}
      />
      {ofHive(draft.origin) && (
        <ChoiceField
          name={t(draft.origin === 'SWARM' ? 'queenForm.swarmedFrom' : 'queenForm.raisedIn')}
          value={draft.raisedIn}
          choices={['', ...all.map((one) => one.id)]}
          say={(id) => all.find((one) => one.id === id)?.code ?? t('queenForm.notKnown')}
          onChange={(raisedIn) => set({ raisedIn })}
        />
      )}
      {isRaised(draft.origin) && draft.raisedIn && !draft.mother && (
        <MotherProposed
          hive={draft.raisedIn}
          daughter={queen}
          onTake={(one) => {
            setProposed(one)
            set({ mother: one.id })
          }}
        />
      )}
      {draft.origin && (
        <TextField
          name={t('queenForm.from')}
          maxLength={200}
          value={draft.from}
          onChange={(from) => set({ from })}
        />
      )}
      {!page && (
        <ChoiceField
          name={t('queenForm.hive')}
          value={draft.hive}
          choices={['', ...hives.map((one) => one.id)]}
          say={(id) => hives.find((one) => one.id === id)?.code ?? t('queenForm.nowhere')}
          onChange={(hive) => set({ hive })}
        />
      )}
      {draft.hive && (
        <TickField
          name={t('queenForm.beside')}
          value={draft.beside}
          onChange={(beside) => set({ beside })}
        />
      )}
      {!known?.graftId && (
        <ChoiceField
          name={t('queenForm.wears')}
          value={draft.wears}
          choices={['', ...COLOURS]}
          say={(one) => (one ? t(`colour.${one}`) : t('queenForm.noMark'))}
          onChange={(wears) => set({ wears })}
        />
      )}
      <TickField
        name={t('queenForm.breeder')}
        value={draft.breeder}
        onChange={(breeder) => set({ breeder })}
      />
    </SavedForm>
  )
}
