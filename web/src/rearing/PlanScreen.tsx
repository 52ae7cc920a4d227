import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import { useDraft } from '../outbox/useDraft'
import { useSession } from '../session/queries'
import { Page } from '../ui/Page'
import { CalendarList } from './CalendarList'
import { isComplete, whenOf, type GraftDraft } from './graftDraft'
import { PlanForm } from './PlanForm'

/** Plans a graft: its calendar grows beside what is filled in. What is half filled in survives a reload. */
export default function PlanScreen() {
  const { t } = useTranslation()
  const { name, today, zone } = useSession()
  // made once a draft, so that a plan sent twice is one plan
  const [start] = useState<GraftDraft>(() => ({
    id: uuidv7(),
    mother: '',
    builder: '',
    grafter: name.split(' ')[0] ?? name,
    day: today,
    hour: '14:00',
    larvaAge: 'FROM_12_TO_24_H',
    placing: 'CELLS_TO_NUCS',
    incubatorCelsius: 34.5,
    bars: 3,
    cupsPerBar: 15,
  }))
  const [draft, setDraft, clear] = useDraft<GraftDraft>('draft-graft', start)
  const preview = useQuery({
    queryKey: ['calendar', draft],
    queryFn: () =>
      answered(
        api.POST('/api/v1/grafts/calendar', {
          body: {
            builder: draft.builder,
            plannedFor: whenOf(draft, zone),
            larvaAge: draft.larvaAge,
            placing: draft.placing,
            incubatorCelsius: draft.incubatorCelsius ?? 34.5,
          },
        }),
      ),
    enabled: isComplete(draft),
  })
  return (
    <Page title={t('plan.title')} lead={t('plan.lead')}>
      <div className="gap-10 lg:grid lg:grid-cols-[24rem_1fr]">
        <PlanForm draft={draft} onChange={setDraft} onKept={clear} />
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
