import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import type { Deed } from '../api/types'
import { KEPT, useTell } from '../outbox/useRecord'
import { breedersQuery } from '../queens/queries'
import { useSession } from '../session/queries'
import { ChoiceField, NumberField, TextField } from '../ui/Fields'
import { Findings } from '../ui/Page'
import { QuantityField } from '../units/QuantityField'
import { AGES, PLACINGS, whenOf, type GraftDraft } from './graftDraft'
import { buildersQuery } from './queries'

/** What a graft is planned with; kept as a plan, or as done. */
export function PlanForm({
  draft,
  onChange,
  onKept,
}: {
  draft: GraftDraft
  onChange: (next: GraftDraft) => void
  /** nothing more is to be filled in */
  onKept: () => void
}) {
  const { t } = useTranslation()
  const { zone } = useSession()
  const navigate = useNavigate()
  const client = useQueryClient()
  const tell = useTell()
  const breeders = useQuery(breedersQuery).data ?? []
  const builders = useQuery(buildersQuery).data ?? []
  const set = (part: Partial<GraftDraft>) => onChange({ ...draft, ...part })
  const save = useMutation({
    mutationFn: (done: boolean) => {
      const plannedFor = whenOf(draft, zone)
      const { id, day: _day, hour: _hour, ...asked } = draft
      const planned: Deed = {
        kind: 'GRAFT_PLANNED',
        graft: id,
        code: '',
        ...asked,
        bars: asked.bars ?? 1,
        cupsPerBar: asked.cupsPerBar ?? 1,
        incubatorCelsius: asked.incubatorCelsius ?? 34.5,
        plannedFor,
        shares: [],
        fixed: true,
      }
      const grafted: Deed = { kind: 'GRAFT_DONE', graft: id }
      return tell(done ? [planned, { deed: grafted, at: plannedFor }] : [planned])
    },
    onSuccess: async (outcome) => {
      onKept()
      if (outcome !== KEPT) await client.invalidateQueries()
      void navigate(outcome === KEPT ? '/grafts' : `/grafts/${draft.id}`)
    },
  })
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault()
        const { submitter } = event.nativeEvent as SubmitEvent
        save.mutate(submitter?.getAttribute('value') === 'done')
      }}
    >
      <ChoiceField
        name={t('plan.mother')}
        required
        value={draft.mother}
        choices={['', ...breeders.map((one) => one.id)]}
        say={(id) => {
          const queen = breeders.find((one) => one.id === id)
          return queen ? `${queen.name} · ${queen.code}` : t('plan.choose')
        }}
        onChange={(mother) => set({ mother })}
      />
      <ChoiceField
        name={t('plan.builder')}
        required
        value={draft.builder}
        choices={['', ...builders.map((one) => one.id)]}
        say={(id) => {
          const builder = builders.find((one) => one.id === id)
          return builder
            ? `${builder.code} · ${builder.yard} · ${t(`school.${builder.school}`)}`
            : t('plan.choose')
        }}
        onChange={(builder) => set({ builder })}
      />
      <div className="grid grid-cols-2 gap-4">
        <NumberField
          name={t('plan.bars')}
          required
          min={1}
          max={6}
          value={draft.bars}
          onChange={(bars) => set({ bars })}
        />
        <NumberField
          name={t('plan.cupsPerBar')}
          required
          min={1}
          max={30}
          value={draft.cupsPerBar}
          onChange={(cupsPerBar) => set({ cupsPerBar })}
        />
        <TextField
          name={t('plan.day')}
          type="date"
          required
          value={draft.day}
          onChange={(day) => set({ day })}
        />
        <TextField
          name={t('plan.hour')}
          type="time"
          required
          value={draft.hour}
          onChange={(hour) => set({ hour })}
        />
      </div>
      <TextField
        name={t('plan.grafter')}
        required
        maxLength={60}
        value={draft.grafter}
        onChange={(grafter) => set({ grafter })}
      />
      <ChoiceField
        name={t('plan.larvaAge')}
        value={draft.larvaAge}
        choices={AGES}
        say={(one) => t(`larvaAge.${one}`)}
        onChange={(larvaAge) => set({ larvaAge })}
      />
      <ChoiceField
        name={t('plan.placing')}
        value={draft.placing}
        choices={PLACINGS}
        say={(one) => t(`placing.${one}`)}
        onChange={(placing) => set({ placing })}
      />
      {draft.placing === 'EMERGE_IN_INCUBATOR' && (
        <QuantityField
          name={t('plan.incubator')}
          quantity="temperature"
          required
          min={20}
          max={45}
          value={draft.incubatorCelsius}
          onChange={(incubatorCelsius) => set({ incubatorCelsius })}
        />
      )}
      <Findings error={save.error} />
      <div className="flex flex-wrap gap-3">
        <button value="done" className="act act-main" disabled={save.isPending}>
          {t('plan.done')}
        </button>
        <button value="plan" className="act" disabled={save.isPending}>
          {t('plan.save')}
        </button>
      </div>
    </form>
  )
}
