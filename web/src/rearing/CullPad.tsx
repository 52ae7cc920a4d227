import { useTranslation } from 'react-i18next'
import type { GraftPage, Queen } from '../api/types'
import { useDraft } from '../outbox/useDraft'
import { useRecord } from '../outbox/useRecord'
import { CupBoard } from './CupBoard'

type Reason = NonNullable<Queen['cullReason']>
const REASONS: Reason[] = ['SHORT', 'STUBBY', 'MISSHAPEN', 'COLD', 'DAMAGED', 'EMPTY']

/** On day 9 or 10: choose a reason, tap the cells it applies to, keep. */
export function CullPad({ page }: { page: GraftPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const { graft, cups } = page
  const live = (cup: GraftPage['cups'][number]) =>
    cup.alive && cup.stage !== 'GRAFTED' && !cup.hiveId && !cup.cage
  const shown = cups.filter((cup) => live(cup) || cup.stage === 'CULLED')
  const [draft, setDraft, clear] = useDraft<{ reason: Reason; marked: Record<string, Reason> }>(
    `draft-cull-${graft.id}`,
    {
      reason: 'SHORT',
      marked: {},
    },
  )
  const marked = Object.entries(draft.marked)

  const keep = async () => {
    await record(t('graft.cullKept', { code: graft.code, count: marked.length }), [
      ...marked.map(([queen, reason]) => ({
        deed: { kind: 'CELL_CULLED' as const, queen, reason },
      })),
      { deed: { kind: 'GRAFT_STEP_DONE', graft: graft.id, step: 'CULL' } },
    ])
    clear()
  }
  if (shown.length === 0) return <p className="font-read text-lg">{t('graft.noCells')}</p>
  return (
    <>
      <fieldset className="mb-3">
        <legend className="mb-1">{t('graft.cullHow')}</legend>
        <div className="flex flex-wrap gap-2">
          {REASONS.map((reason) => (
            <button
              key={reason}
              className={`act ${draft.reason === reason ? 'act-main' : ''}`}
              aria-pressed={draft.reason === reason}
              onClick={() => setDraft({ ...draft, reason })}
            >
              {t(`cull.${reason}`)}
            </button>
          ))}
        </div>
      </fieldset>
      <CupBoard
        cups={shown}
        pressed={(cup) => cup.id in draft.marked}
        enabled={live}
        word={(cup) => {
          const reason = draft.marked[cup.id] ?? cup.cullReason
          return reason ? t(`cull.${reason}`) : t('graft.sound')
        }}
        onCup={(cup) => {
          const { [cup.id]: was, ...others } = draft.marked
          setDraft({ ...draft, marked: was ? others : { ...draft.marked, [cup.id]: draft.reason } })
        }}
      />
      <div className="mt-4">
        <button className="act act-main" onClick={() => void keep()}>
          {t('graft.keepCull', { count: marked.length })}
        </button>
      </div>
    </>
  )
}
