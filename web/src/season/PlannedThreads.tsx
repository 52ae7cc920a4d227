import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { answered, api } from '../api/client'
import { v7 as uuidv7 } from 'uuid'
import type { PlannedLine, SeasonPage } from '../api/types'
import { ThreadChart } from '../threads/ThreadChart'
import { addDays, sayDay } from '../time/days'
import { Findings } from '../ui/Page'
import { daysAhead, percent, withMoved } from './planned'
import { checkQuery } from './queries'
import { usePlannedRow } from './usePlannedRow'

/** The plan as threads. One is dragged, or moved with the arrow keys, and what breaks is said before it is kept. */
export function PlannedThreads({ season }: { season: SeasonPage }) {
  const { t } = useTranslation()
  const navigate = useNavigate()
  const [moving, setMoving] = useState<{ graft: string; days: number }>()
  const { planned, today } = season
  const row = usePlannedRow()
  // a graft that is moved is planned anew: the answer that brings the new one no longer has the one under the hand
  const held = moving && planned.find((line) => line.graft === moving.graft)
  return (
    <>
      <ThreadChart
        name={t('season.threads')}
        today={today}
        back={3}
        ahead={daysAhead(
          planned.map((line) => line.batch),
          today,
        )}
        rows={planned.map((line) => {
          const days = moving?.graft === line.graft ? moving.days : 0
          return {
            ...row(
              line.batch,
              <>
                {' '}
                <span className="text-sm">{line.batch.breederName}</span>
                {line.batch.locked && <span className="text-sm"> · {t('season.fixed')}</span>}
              </>,
              days,
            ),
            id: line.graft,
            selected: moving?.graft === line.graft,
            onOpen: () => void navigate(`/grafts/${line.graft}`),
            onMove: (more) => setMoving({ graft: line.graft, days: days + more }),
          }
        })}
      />
      {held && moving.days !== 0 && (
        <Moving
          key={held.graft}
          season={season}
          line={held}
          days={moving.days}
          onDone={() => setMoving(undefined)}
        />
      )}
    </>
  )
}

function Moving({
  season,
  line,
  days,
  onDone,
}: {
  season: SeasonPage
  line: PlannedLine
  days: number
  onDone: () => void
}) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const day = addDays(line.batch.day, days)
  const check = useQuery(checkQuery(withMoved(season.planned, line.graft, days)))
  const [request] = useState(() => uuidv7())
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/api/v1/season/grafts/{id}/move', {
          params: { path: { id: line.graft } },
          body: { request, day },
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries()
      onDone()
    },
  })
  const changed = season.standings.filter(
    (one) => Math.abs((check.data?.chances[one.demand] ?? one.chance) - one.chance) > 0.004,
  )
  const fresh = check.data?.breaks.filter((one) => !season.breaks.includes(one)) ?? []
  return (
    <section className="mt-2 border-y-2 border-ink py-3" aria-live="polite" data-testid="moving">
      <p className="font-read text-lg">
        {t('season.moved', {
          builder: line.batch.builder,
          from: sayDay(line.batch.day),
          to: sayDay(day),
        })}
      </p>
      {check.data && (
        <ul className="mt-1">
          {fresh.map((one) => (
            <li key={one} className="font-semibold text-crown">
              {one}
            </li>
          ))}
          {changed.map((one) => (
            <li key={one.demand}>
              {one.demand}, {one.customer}: {percent(one.chance)} →{' '}
              <strong>{percent(check.data.chances[one.demand] ?? 0)}</strong>
            </li>
          ))}
          {fresh.length === 0 && changed.length === 0 && <li>{t('season.nothingBreaks')}</li>}
        </ul>
      )}
      <Findings error={check.error ?? keep.error} />
      <p className="mt-2 flex gap-3">
        <button className="act act-main" disabled={keep.isPending} onClick={() => keep.mutate()}>
          {t('season.keepThere')}
        </button>
        <button className="act" onClick={onDone}>
          {t('season.putBack')}
        </button>
      </p>
    </section>
  )
}
