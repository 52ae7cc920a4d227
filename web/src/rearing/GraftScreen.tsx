import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Tabs } from 'radix-ui'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import type { GraftPage } from '../api/types'
import { useSession } from '../session/queries'
import { useTell } from '../outbox/useRecord'
import { sayDay } from '../time/days'
import { Answer, Findings, Page } from '../ui/Page'
import { CalendarList } from './CalendarList'
import { CullPad } from './CullPad'
import { PlacePad } from './PlacePad'
import { graftQuery } from './queries'
import { TakePad } from './TakePad'

export default function GraftScreen() {
  const id = useParams().id ?? ''
  const query = useQuery(graftQuery(id))
  return <Answer query={query}>{(page) => <Graft key={id} page={page} />}</Answer>
}

function Graft({ page }: { page: GraftPage }) {
  const { t } = useTranslation()
  const { today } = useSession()
  const { graft } = page
  const { counts } = graft
  return (
    <Page
      title={t('graft.title', { code: graft.code })}
      lead={t('graft.lead', {
        mother: graft.mother,
        builder: graft.builder,
        grafter: graft.grafter,
        day: sayDay(graft.graftDay),
        count: graft.bars * graft.cupsPerBar,
      })}
    >
      {counts.counted > 0 && page.take && (
        <p className="mb-4 font-read text-lg">
          {t('graft.takeLine', {
            took: counts.took,
            counted: counts.counted,
            low: Math.round(page.take.low * 100),
            high: Math.round(page.take.high * 100),
          })}
        </p>
      )}
      <div className="gap-10 lg:grid lg:grid-cols-[minmax(0,1fr)_24rem]">
        <div>{graft.grafted ? <Pads page={page} /> : <NotYet page={page} />}</div>
        <section aria-labelledby="calendar" className="mt-8 lg:mt-0">
          <h2 id="calendar" className="mb-2 text-xl">
            {t('plan.calendar')}
          </h2>
          <CalendarList calendar={graft.calendar} done={graft.stepsDone} today={today} />
        </section>
      </div>
    </Page>
  )
}

function Pads({ page }: { page: GraftPage }) {
  const { t } = useTranslation()
  const { graft } = page
  const start =
    graft.counts.counted === 0 ? 'take' : graft.stepsDone.includes('CULL') ? 'place' : 'cull'
  return (
    <Tabs.Root defaultValue={start}>
      <Tabs.List aria-label={t('graft.steps')} className="mb-4 flex gap-6 border-b border-rule">
        {(['take', 'cull', 'place'] as const).map((tab) => (
          <Tabs.Trigger
            key={tab}
            value={tab}
            className="min-h-11 border-b-4 border-transparent text-lg data-[state=active]:border-crown data-[state=active]:font-bold"
          >
            {t(`graft.tab.${tab}`)}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content value="take">
        <TakePad page={page} />
      </Tabs.Content>
      <Tabs.Content value="cull">
        <CullPad page={page} />
      </Tabs.Content>
      <Tabs.Content value="place">
        <PlacePad page={page} />
      </Tabs.Content>
    </Tabs.Root>
  )
}

function NotYet({ page }: { page: GraftPage }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const tell = useTell()
  const after = { onSuccess: () => client.invalidateQueries() }
  const done = useMutation({
    mutationFn: () => tell([{ kind: 'GRAFT_DONE', graft: page.graft.id }]),
    ...after,
  })
  const cancel = useMutation({
    mutationFn: () => tell([{ kind: 'GRAFT_CANCELLED', graft: page.graft.id }]),
    ...after,
  })
  if (page.graft.cancelled) return <p className="font-read text-lg">{t('grafts.cancelled')}</p>
  return (
    <>
      <p className="font-read text-lg">
        {t('graft.planned', { day: sayDay(page.graft.graftDay) })}
      </p>
      <Findings error={done.error ?? cancel.error} />
      <div className="mt-3 flex gap-3">
        <button className="act act-main" onClick={() => done.mutate()} disabled={done.isPending}>
          {t('graft.doneToday')}
        </button>
        <button className="act" onClick={() => cancel.mutate()} disabled={cancel.isPending}>
          {t('graft.cancel')}
        </button>
      </div>
    </>
  )
}
