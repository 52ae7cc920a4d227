import { zodResolver } from '@hookform/resolvers/zod'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState, type ReactNode } from 'react'
import { useForm } from 'react-hook-form'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { v7 as uuidv7 } from 'uuid'
import { z } from 'zod'
import { answered, api } from '../api/client'
import type { Deed } from '../api/types'
import { useDraft, useTell } from '../outbox/useRecord'
import { breedersQuery } from '../queens/queries'
import { useSession } from '../session/queries'
import { zoned } from '../time/days'
import { Findings, Page } from '../ui/Page'
import { CalendarList } from './CalendarList'
import { buildersQuery } from './queries'

// The page's content policy forbids making code at run time, which zod would otherwise try.
z.config({ jitless: true })

const form = z.object({
  mother: z.string().min(1),
  builder: z.string().min(1),
  grafter: z.string().min(1),
  day: z.iso.date(),
  hour: z.string().regex(/^\d\d:\d\d$/),
  larvaAge: z.enum(['UNDER_12_H', 'FROM_12_TO_24_H', 'FROM_24_TO_36_H']),
  placing: z.enum(['CELLS_TO_NUCS', 'EMERGE_IN_INCUBATOR']),
  incubatorCelsius: z.coerce.number<number>(),
  bars: z.coerce.number<number>().int(),
  cupsPerBar: z.coerce.number<number>().int(),
})
type Form = z.infer<typeof form>

export default function PlanScreen() {
  const { t } = useTranslation()
  const session = useSession()
  const navigate = useNavigate()
  const tell = useTell()
  const client = useQueryClient()
  const breeders = useQuery(breedersQuery)
  const builders = useQuery(buildersQuery)
  const [draft, keepDraft, clearDraft] = useDraft<Partial<Form> & { id?: string }>(
    'draft-graft',
    {},
  )
  // Made once a draft, so that a plan sent twice is one plan.
  const [id] = useState(() => draft.id ?? uuidv7())
  const { register, handleSubmit, watch, formState } = useForm<Form>({
    resolver: zodResolver(form),
    defaultValues: {
      mother: '',
      builder: '',
      grafter: session.name.split(' ')[0],
      day: session.today,
      hour: '14:00',
      larvaAge: 'FROM_12_TO_24_H',
      placing: 'CELLS_TO_NUCS',
      incubatorCelsius: 34.5,
      bars: 3,
      cupsPerBar: 15,
      ...draft,
    },
  })
  const values = watch()
  const text = JSON.stringify(values)
  useEffect(() => {
    keepDraft({ ...(JSON.parse(text) as Form), id })
  }, [text, keepDraft, id])

  const when = (input: Form) => zoned(input.day, `${input.hour}:00`, session.zone)
  const asked = (input: Form): Deed => ({
    kind: 'GRAFT_PLANNED',
    graft: id,
    code: '',
    mother: input.mother,
    builder: input.builder,
    grafter: input.grafter,
    plannedFor: when(input),
    larvaAge: input.larvaAge,
    placing: input.placing,
    incubatorCelsius: input.incubatorCelsius,
    bars: input.bars,
    cupsPerBar: input.cupsPerBar,
    shares: [],
    fixed: true,
  })
  const calendarOf = (input: Form) => ({
    builder: input.builder,
    plannedFor: when(input),
    larvaAge: input.larvaAge,
    placing: input.placing,
    incubatorCelsius: input.incubatorCelsius,
  })
  const complete = form.safeParse(values)
  const preview = useQuery({
    queryKey: ['calendar', text],
    queryFn: () =>
      answered(api.POST('/api/v1/grafts/calendar', { body: calendarOf(complete.data as Form) })),
    enabled: complete.success,
  })
  const save = useMutation({
    mutationFn: ({ input, done }: { input: Form; done: boolean }) =>
      tell([
        asked(input),
        ...(done ? [{ deed: { kind: 'GRAFT_DONE' as const, graft: id }, at: when(input) }] : []),
      ]),
    onSuccess: async () => {
      clearDraft()
      await client.invalidateQueries()
      void navigate(`/grafts/${id}`)
    },
  })
  const submit = (done: boolean) => handleSubmit((input) => save.mutate({ input, done }))

  return (
    <Page title={t('plan.title')} lead={t('plan.lead')}>
      <div className="gap-10 lg:grid lg:grid-cols-[24rem_1fr]">
        <form className="space-y-4" onSubmit={submit(false)} noValidate>
          <Labelled
            field="mother"
            name={t('plan.mother')}
            wrong={formState.errors.mother && t('plan.choose')}
          >
            <select className="field" id="mother" {...register('mother')}>
              <option value="">{t('plan.choose')}</option>
              {breeders.data?.map((queen) => (
                <option key={queen.id} value={queen.id}>
                  {queen.name} · {queen.code}
                </option>
              ))}
            </select>
          </Labelled>
          <Labelled
            field="builder"
            name={t('plan.builder')}
            wrong={formState.errors.builder && t('plan.choose')}
          >
            <select className="field" id="builder" {...register('builder')}>
              <option value="">{t('plan.choose')}</option>
              {builders.data?.map((builder) => (
                <option key={builder.id} value={builder.id}>
                  {builder.code} · {builder.yard} · {t(`school.${builder.school}`)}
                </option>
              ))}
            </select>
          </Labelled>
          <div className="grid grid-cols-2 gap-4">
            <Labelled
              field="bars"
              name={t('plan.bars')}
              wrong={formState.errors.bars && t('plan.wholeNumber')}
            >
              <input
                className="field"
                type="number"
                inputMode="numeric"
                id="bars"
                {...register('bars')}
              />
            </Labelled>
            <Labelled
              field="cupsPerBar"
              name={t('plan.cupsPerBar')}
              wrong={formState.errors.cupsPerBar && t('plan.wholeNumber')}
            >
              <input
                className="field"
                type="number"
                inputMode="numeric"
                id="cupsPerBar"
                {...register('cupsPerBar')}
              />
            </Labelled>
            <Labelled
              field="day"
              name={t('plan.day')}
              wrong={formState.errors.day && t('plan.chooseDay')}
            >
              <input className="field" type="date" id="day" {...register('day')} />
            </Labelled>
            <Labelled
              field="hour"
              name={t('plan.hour')}
              wrong={formState.errors.hour && t('plan.chooseDay')}
            >
              <input className="field" type="time" id="hour" {...register('hour')} />
            </Labelled>
          </div>
          <Labelled
            field="grafter"
            name={t('plan.grafter')}
            wrong={formState.errors.grafter && t('plan.nameNeeded')}
          >
            <input className="field" id="grafter" {...register('grafter')} />
          </Labelled>
          <Labelled field="larvaAge" name={t('plan.larvaAge')}>
            <select className="field" id="larvaAge" {...register('larvaAge')}>
              {form.shape.larvaAge.options.map((age) => (
                <option key={age} value={age}>
                  {t(`larvaAge.${age}`)}
                </option>
              ))}
            </select>
          </Labelled>
          <Labelled field="placing" name={t('plan.placing')}>
            <select className="field" id="placing" {...register('placing')}>
              {form.shape.placing.options.map((placing) => (
                <option key={placing} value={placing}>
                  {t(`placing.${placing}`)}
                </option>
              ))}
            </select>
          </Labelled>
          {values.placing === 'EMERGE_IN_INCUBATOR' && (
            <Labelled field="incubatorCelsius" name={t('plan.celsius')}>
              <input
                className="field"
                type="number"
                step="0.1"
                id="incubatorCelsius"
                {...register('incubatorCelsius')}
              />
            </Labelled>
          )}
          <Findings error={save.error} />
          <div className="flex flex-wrap gap-3">
            <button
              type="button"
              className="act act-main"
              onClick={submit(true)}
              disabled={save.isPending}
            >
              {t('plan.done')}
            </button>
            <button type="submit" className="act" disabled={save.isPending}>
              {t('plan.save')}
            </button>
          </div>
        </form>
        <section aria-labelledby="calendar" className="mt-8 lg:mt-0">
          <h2 id="calendar" className="mb-2 text-xl">
            {t('plan.calendar')}
          </h2>
          {preview.data ? (
            <CalendarList calendar={preview.data} done={[]} today="0000" />
          ) : (
            <p className="text-ink-2">{t('plan.calendarEmpty')}</p>
          )}
        </section>
      </div>
    </Page>
  )
}

/** The label stands beside its field, not around it: a choice's options are no part of its name. */
function Labelled(props: {
  field: string
  name: string
  wrong?: string | false
  children: ReactNode
}) {
  return (
    <div>
      <label htmlFor={props.field} className="mb-1 block font-semibold">
        {props.name}
      </label>
      {props.children}
      {props.wrong && (
        <p role="alert" className="mt-1 font-semibold text-crown">
          {props.wrong}
        </p>
      )}
    </div>
  )
}
