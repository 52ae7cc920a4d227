import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { answered, api } from '../api/client'
import { v7 as uuidv7 } from 'uuid'
import type { PlannedLine, SeasonPage } from '../api/types'
import { ThreadChart } from '../threads/ThreadChart'
import { addDays, dayNumber, sayDay } from '../time/days'
import { Findings } from '../ui/Page'
import { forWhom, percent, plannedThread, withMoved } from './planned'
import { checkQuery } from './queries'

/** The plan as threads. One is dragged, or moved with the arrow keys, and what breaks is said before it is kept. */
export function PlannedThreads({ season }: { season: SeasonPage }) {
  const { t } = useTranslation()
  const navigate = useNavigate()
  const [moving, setMoving] = useState<{ graft: string; days: number }>()
  const { planned, today } = season
  const last = planned
    .flatMap((line) => line.batch.shares.map((share) => share.delivery))
    .toSorted()
    .at(-1)
  const ahead = last ? Math.max(28, dayNumber(last) - dayNumber(today) + 3) : 42
  return (
    <>
      <ThreadChart
        name={t('season.threads')}
        today={today}
        back={3}
        ahead={ahead}
        rows={planned.map((line) => {
          const days = moving?.graft === line.graft ? moving.days : 0
          return {
            id: line.graft,
            label: (
              <>
                <strong>{line.batch.builder}</strong> · {line.batch.cups}{' '}
                <span className="text-sm">{line.batch.breederName}</span>
                {line.batch.locked && <span className="text-sm"> · {t('season.fixed')}</span>}
              </>
            ),
            says: t('season.rowSays', {
              builder: line.batch.builder,
              cups: line.batch.cups,
              breeder: line.batch.breederName,
              day: sayDay(addDays(line.batch.day, days)),
              whom: forWhom(line.batch) || t('season.nobody'),
            }),
            thread: plannedThread(line.batch, days),
            due: {
              day: addDays(line.batch.day, days),
              text: forWhom(line.batch) || t('season.nobody'),
              late: false,
            },
            selected: moving?.graft === line.graft,
            onOpen: () => void navigate(`/grafts/${line.graft}`),
            onMove: (more) => setMoving({ graft: line.graft, days: days + more }),
          }
        })}
      />
      {moving && moving.days !== 0 && (
        <Moving
          key={moving.graft}
          season={season}
          moving={moving}
          onDone={() => setMoving(undefined)}
        />
      )}
    </>
  )
}

function Moving({
  season,
  moving,
  onDone,
}: {
  season: SeasonPage
  moving: { graft: string; days: number }
  onDone: () => void
}) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const line = season.planned.find((one) => one.graft === moving.graft) as PlannedLine
  const day = addDays(line.batch.day, moving.days)
  const check = useQuery(checkQuery(withMoved(season.planned, moving.graft, moving.days)))
  const [request] = useState(() => uuidv7())
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/api/v1/season/grafts/{id}/move', {
          params: { path: { id: moving.graft } },
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
