import { useTranslation } from 'react-i18next'
import type { GraftPage } from '../api/types'
import { useDraft } from '../outbox/useDraft'
import { useRecord } from '../outbox/useRecord'
import { CupBoard } from './CupBoard'

/** At 24 h: tap the cups that took. Half-done taps stay on the device until the take is kept. */
export function TakePad({ page }: { page: GraftPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const { graft, cups } = page
  const open = cups.filter((cup) => cup.stage === 'GRAFTED')
  const [took, setTook, clear] = useDraft<string[]>(`draft-take-${graft.id}`, [])
  const chosen = new Set(took)

  const keep = async () => {
    const share = open.filter((cup) => chosen.has(cup.id)).length
    await record(t('graft.takeKept', { code: graft.code, took: share, count: open.length }), [
      {
        deed: {
          kind: 'TAKE_COUNTED',
          graft: graft.id,
          took: open.filter((cup) => chosen.has(cup.id)).map((cup) => cup.id),
          didNotTake: open.filter((cup) => !chosen.has(cup.id)).map((cup) => cup.id),
        },
      },
      { deed: { kind: 'GRAFT_STEP_DONE', graft: graft.id, step: 'COUNT_TAKE' } },
    ])
    clear()
  }

  if (open.length === 0) {
    return (
      <CupBoard
        cups={cups}
        pressed={(cup) => cup.stage !== 'NOT_TAKEN'}
        enabled={() => false}
        word={(cup) => (cup.stage === 'NOT_TAKEN' ? t('graft.notTaken') : t('graft.taken'))}
        onCup={() => {}}
      />
    )
  }
  return (
    <>
      <p className="mb-3">{t('graft.takeHow')}</p>
      <CupBoard
        cups={open}
        pressed={(cup) => chosen.has(cup.id)}
        enabled={() => true}
        word={(cup) => (chosen.has(cup.id) ? t('graft.taken') : t('graft.notTaken'))}
        onCup={(cup) =>
          setTook(chosen.has(cup.id) ? took.filter((id) => id !== cup.id) : [...took, cup.id])
        }
      />
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <button className="act" onClick={() => setTook(open.map((cup) => cup.id))}>
          {t('graft.allTook')}
        </button>
        <button className="act act-main" onClick={() => void keep()}>
          {t('graft.keepTake', { took: chosen.size, count: open.length })}
        </button>
      </div>
    </>
  )
}
