import { keepPreviousData, queryOptions, useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate, useParams } from 'react-router'
import { answered, api, Refused } from '../api/client'
import type { ColonySearch, Deed } from '../api/types'
import { useDraft } from '../outbox/useDraft'
import { useRecord } from '../outbox/useRecord'
import { Page } from '../ui/Page'
import { Reasons } from '../ui/Reasons'
import { CombOdds } from './CombOdds'
import {
  asked,
  begunFor,
  current,
  found,
  looked,
  otherSide,
  type Draft,
  type PlaceAt,
  type Shows,
} from './search'
import { SearchHow } from './SearchHow'
import { HeldAndClosed } from './HeldAndClosed'

const SHOWS: Shows[] = [
  'MANY_EGGS',
  'EGGS',
  'OPEN',
  'EMPTIED',
  'SEALED',
  'FOOD',
  'BARE',
  'FOUNDATION',
  'NOTHING',
]

/** An answer, and how many looks it knew of. */
type Known = { page: ColonySearch; looks: number }

const searchQuery = (id: string, draft: Draft) =>
  queryOptions({
    queryKey: ['search', id, JSON.stringify(asked(draft))],
    queryFn: async (): Promise<Known> => ({
      page: await answered(
        api.POST('/api/v1/colonies/{id}/search', {
          params: { path: { id } },
          body: asked(draft),
        }),
      ),
      looks: draft.looks.length,
    }),
    placeholderData: keepPreviousData,
    retry: false,
  })

/** Finding the queen at the open hive: one tap a side, the next comb said each time. */
export default function SearchScreen() {
  const { t } = useTranslation()
  const id = useParams().id ?? ''
  const [begun] = useState(() => begunFor(new URLSearchParams(window.location.search).get('why')))
  const [draft, setDraft, clear] = useDraft<Draft>(`search-${id}`, begun)
  const query = useQuery(searchQuery(id, draft))
  const start = useQuery(searchQuery(id, { ...draft, looks: [] }))
  const known = query.data ?? start.data
  useAwake()
  if (!known) {
    return (
      <p role="status">
        {query.error instanceof Refused ? query.error.message : t('connection.loading')}
      </p>
    )
  }
  return (
    <Hive
      known={known}
      asking={query.isFetching}
      draft={draft}
      onChange={setDraft}
      onClear={clear}
      refused={query.error instanceof Refused ? query.error.message : undefined}
    />
  )
}

function Hive({
  known,
  asking,
  draft,
  onChange,
  onClear,
  refused,
}: {
  known: Known
  /** an answer to the last look is on its way */
  asking: boolean
  draft: Draft
  onChange: (next: Draft) => void
  onClear: () => void
  refused: string | undefined
}) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const navigate = useNavigate()
  const { page, looks } = known
  const view = page.search
  const [picked, setPicked] = useState<PlaceAt>()
  const behind = looks < draft.looks.length
  const count = draft.looks.length
  const ordered = current(view, draft.looks, Math.min(looks, count))
  const kept = useKept(ordered, count, behind && asking && !otherSide(draft.looks))
  const now = kept === 'waiting' ? undefined : kept
  const place = picked ?? now?.place
  const her = found(draft)
  const [aloud, setAloud] = useDraft('search-aloud', false)
  const says = now?.say ?? ''
  useEffect(() => {
    if (draft.looks.length > 0) navigator.vibrate?.(60)
    if (aloud && says && 'speechSynthesis' in window) {
      speechSynthesis.cancel()
      speechSynthesis.speak(new SpeechSynthesisUtterance(says))
    }
  }, [aloud, says, draft.looks.length])

  const look = (shows: Shows, isHer: boolean) => {
    if (!place) return
    onChange(looked(draft, { place, shows, found: isHer }, Date.now()))
    setPicked(undefined)
  }
  const undo = () => {
    setPicked(undefined)
    onChange({ ...draft, looks: draft.looks.slice(0, -1) })
  }
  const done = useCallback(() => {
    void record(t(her ? 'find.recordedFound' : 'find.recordedNot', { code: page.code }), [
      { deed: deedOf(page.id, page.traits, draft) },
    ])
    onClear()
    void navigate(`/colonies/${page.id}`)
  }, [draft, her, navigate, onClear, page, record, t])

  const stopped = !her && !behind && view.stop !== 'GO_ON'
  return (
    <Page title={t('find.title', { code: page.code })}>
      {!her && (
        <p
          role="status"
          className="mb-3 min-h-16 font-read text-2xl leading-snug"
          data-testid="next"
        >
          {stopped ? (
            <strong className="text-crown">{view.say}</strong>
          ) : kept === 'waiting' ? (
            '…'
          ) : (
            now?.say || t('find.otherSide')
          )}
        </p>
      )}
      {refused && (
        <p role="alert" className="font-semibold text-crown">
          {refused}
        </p>
      )}
      {behind && !her && now && !otherSide(draft.looks) && (
        <p className="text-sm text-ink-2">{t('find.behind')}</p>
      )}
      {!her && place && (
        <section className="max-w-3xl" aria-label={t('find.now')}>
          <h2 className="mb-2 text-xl" data-testid="side">
            {t(`find.at.${place.kind ?? 'COMB'}`, {
              slot: place.slot,
              box: place.box,
              side: place.side ? t(`find.of.${place.side}`) : '',
              context: page.boxes.length > 1 ? 'boxes' : undefined,
            })}
          </h2>
          <button
            className="act act-main mb-2 min-h-16 w-full text-xl"
            onClick={() => look('NOTHING', true)}
          >
            {t('find.sheIsHere')}
          </button>
          {(place.kind ?? 'COMB') === 'COMB' ? (
            <div className="grid grid-cols-3 gap-2">
              {SHOWS.map((shows) => (
                <button key={shows} className="act min-h-14" onClick={() => look(shows, false)}>
                  {t(`search.shows.${shows}`)}
                </button>
              ))}
            </div>
          ) : (
            <button className="act min-h-14 w-full" onClick={() => look('NOTHING', false)}>
              {t('find.notHere')}
            </button>
          )}
        </section>
      )}
      {her && <HeldAndClosed view={view} draft={draft} onChange={onChange} onDone={done} />}
      <div className="mt-3 flex flex-wrap gap-2">
        <button className="act min-h-12" disabled={draft.looks.length === 0} onClick={undo}>
          {t('find.undo')}
        </button>
        {!her && (
          <button
            className={`act min-h-12 ${stopped ? 'act-main' : ''}`}
            disabled={draft.looks.length === 0}
            onClick={done}
          >
            {t('find.notFound')}
          </button>
        )}
      </div>
      <CombOdds page={page} looks={draft.looks} picked={place} onPick={setPicked} />
      {!her && (
        <>
          <div className="mt-2 text-sm" data-testid="odds">
            <Reasons reasons={view.reasons}>
              {t(draft.looks.length > 0 ? 'find.odds' : 'find.begun', {
                notHere: Math.round(100 * view.notHere),
                missed: Math.round(100 * view.missed),
                minutes: Math.round(view.minutes),
              })}
            </Reasons>
          </div>
          <ul className="mt-2 list-disc pl-5 text-sm">
            {view.cautions.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
          <SearchHow draft={draft} traits={page.traits} onChange={onChange} />
          <label className="flex min-h-12 items-center gap-2">
            <input
              type="checkbox"
              className="size-6"
              checked={aloud}
              onChange={(event) => setAloud(event.target.checked)}
            />
            {t('find.aloud')}
          </label>
        </>
      )}
      {!her && (
        <details className="mt-3">
          <summary className="min-h-8 underline">{t('find.closing')}</summary>
          <ol className="mt-1 list-decimal pl-6">
            {view.closing.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ol>
        </details>
      )}
    </Page>
  )
}

const LONG_ENOUGH_MILLIS = 1500

/**
 * What is said to be next does not change under a thumb: an answer is waited for a moment; if none comes, the order said before holds until the next tap.
 */
function useKept<T>(ordered: T, count: number, pending: boolean): T | 'waiting' {
  const [held, setHeld] = useState<{ count: number; step: T }>()
  const ref = useRef(ordered)
  useEffect(() => {
    ref.current = ordered
  }, [ordered])
  useEffect(() => {
    if (!pending) return undefined
    const timer = setTimeout(() => setHeld({ count, step: ref.current }), LONG_ENOUGH_MILLIS)
    return () => clearTimeout(timer)
  }, [count, pending])
  if (held?.count === count) return held.step
  return pending ? 'waiting' : ordered
}

function deedOf(hive: string, traits: ColonySearch['traits'], draft: Draft): Deed {
  return {
    kind: 'QUEEN_SEARCHED',
    hive,
    why: draft.why,
    traits: draft.traits ?? traits,
    muchSmoke: draft.muchSmoke,
    poorLight: draft.poorLight,
    beginner: draft.beginner,
    looks: draft.looks.map(({ place, shows, found: isHer, minutes }) => ({
      at: place.kind ?? 'COMB',
      box: place.box ?? 1,
      slot: place.slot ?? 0,
      ...(place.side ? { side: place.side } : {}),
      shows,
      found: isHer,
      minutes,
    })),
    ...(found(draft) ? { held: draft.held ?? 'NOTED' } : {}),
  }
}

/** Keeps the screen lit: gloves do not unlock a phone. Where the device cannot, nothing happens. */
function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined
    const hold = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock?.request('screen').then(
          (held) => (lock = held),
          () => undefined,
        )
    }
    hold()
    document.addEventListener('visibilitychange', hold)
    return () => {
      document.removeEventListener('visibilitychange', hold)
      void lock?.release()
    }
  }, [])
}
