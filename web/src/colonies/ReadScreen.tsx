import { useQuery } from '@tanstack/react-query'
import { useCallback, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import type { ColonyPage } from '../api/types'
import { useKey } from '../app/keys'
import { useDraft } from '../outbox/useDraft'
import { useRecord } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { longDay, sayDay } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { BoxChoice, boxesOf, hangingIn } from './BoxChoice'
import { BoxFromAbove } from './BoxFromAbove'
import { colonyQuery, previewQuery } from './queries'
import { BoxPad, SidePad } from './ReadPads'
import { EMPTY, everyFrame, isEmpty, sameAs, seamsIn, type Draft, type Place } from './reading'
import { SoFar } from './SoFar'

export default function ReadScreen() {
  const id = useParams().id ?? ''
  const query = useQuery(colonyQuery(id))
  const corrects = useSearchParams()[0].get('corrects')
  return (
    <Answer query={query}>
      {(page) => <Pad key={`${id} ${corrects}`} page={page} corrects={corrects} />}
    </Answer>
  )
}

/** @param corrects the entry of the reading that is put right, if it is no new one */
function Pad({ page, corrects }: { page: ColonyPage; corrects: string | null }) {
  const { t } = useTranslation()
  const { today } = useSession()
  const navigate = useNavigate()
  const { record } = useRecord()
  const { colony, readings } = page
  const wrong = readings.find((one) => one.entry === corrects)
  const [draft, setDraft, clear] = useDraft<Draft>(
    `reading-${wrong?.entry ?? colony.id}`,
    wrong ? wrong.reading : EMPTY,
  )
  const [before, setBefore] = useState<Draft[]>([])
  const [place, setPlace] = useState<Place>()
  const boxes = boxesOf(page.stack)
  const [level, setLevel] = useState(boxes[0]?.level ?? 1)
  const box = boxes.find((one) => one.level === level)
  const slots = box?.slots ?? colony.frames
  const seams = draft.boxes.find((one) => one.box === level)?.seams
  const preview = useQuery(previewQuery(colony.id, draft))
  const last = wrong ? readings[readings.indexOf(wrong) + 1] : readings[0]
  const day = wrong?.day ?? today

  const change = useCallback(
    (next: Draft) => {
      setBefore((all) => [...all, draft])
      setDraft(next)
    },
    [draft, setDraft],
  )
  const undo = useCallback(() => {
    const previous = before.at(-1)
    if (!previous) return
    setBefore(before.slice(0, -1))
    setDraft(previous)
  }, [before, setDraft])
  const done = useCallback(() => {
    if (isEmpty(draft)) return
    void record(t('read.recorded', { code: colony.code }), [
      {
        deed: { kind: 'HIVE_READ', hive: colony.id, notes: draft },
        day,
        ...(wrong ? { corrects: wrong.entry } : {}),
      },
    ])
    clear()
    void navigate(`/colonies/${colony.id}`)
  }, [clear, colony, day, draft, navigate, record, t, wrong])
  const select = (slot: number) =>
    setPlace(
      place?.slot === slot && place.box === level
        ? { ...place, side: place.side === 'NEAR' ? 'FAR' : 'NEAR' }
        : { box: level, slot, side: 'NEAR' },
    )

  useKey('z', undo)
  useKey('s', () => last && change(sameAs(last.reading)))
  useKey('e', () => change(everyFrame(draft)))

  return (
    <Page
      title={colony.code}
      lead={t('read.lead', { day: longDay(day), format: colony.format, frames: colony.frames })}
    >
      {wrong && (
        <p className="mb-2 font-semibold text-crown">
          {t('read.correcting', { day: sayDay(wrong.day) })}
        </p>
      )}
      <div className="gap-8 lg:grid lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="flex min-w-0 flex-col">
          <div className="order-3 mt-6 lg:order-none lg:mt-0">
            {boxes.length > 1 && (
              <BoxChoice
                boxes={boxes}
                level={level}
                seams={seams}
                onLevel={(next) => {
                  setLevel(next)
                  setPlace(undefined)
                }}
                onSeams={(count) => change(seamsIn(draft, level, count))}
              />
            )}
            <BoxFromAbove
              box={level}
              slots={slots}
              hanging={hangingIn(box)}
              sides={draft.sides}
              height={150}
              name={t('read.box')}
              selected={place}
              onSelect={select}
            />
            {last && last.reading.sides.some((side) => side.box === level) && (
              <div className="mt-1">
                <p className="text-sm text-ink-2">{t('read.last', { day: sayDay(last.day) })}</p>
                <BoxFromAbove
                  box={level}
                  slots={slots}
                  sides={last.reading.sides}
                  height={70}
                  name={t('read.last', { day: sayDay(last.day) })}
                />
              </div>
            )}
          </div>
          <div className="order-1 mt-1 flex flex-wrap gap-2 lg:order-none lg:mt-3">
            {last && (
              <button
                className="act"
                aria-keyshortcuts="s"
                onClick={() => change(sameAs(last.reading))}
              >
                {t('read.same')}
              </button>
            )}
            <button
              className="act"
              aria-keyshortcuts="e"
              aria-pressed={draft.looked === 'EVERY_FRAME'}
              onClick={() => change(everyFrame(draft))}
            >
              {t('read.everyFrame')}
            </button>
            <button
              className="act"
              aria-keyshortcuts="z"
              disabled={before.length === 0}
              onClick={undo}
            >
              {t('read.undo')}
            </button>
          </div>
          {place ? (
            <SidePad draft={draft} place={place} onChange={change} onPlace={setPlace} />
          ) : (
            <BoxPad draft={draft} onChange={change} />
          )}
        </div>
        <SoFar preview={preview} />
      </div>
      <div className="sticky bottom-14 z-20 mt-4 flex gap-3 bg-paper py-2 md:bottom-0">
        <button
          className="act act-main min-h-14 flex-1 text-lg md:flex-none md:px-10"
          disabled={isEmpty(draft)}
          onClick={done}
        >
          {t('read.done')}
        </button>
        <button className="act min-h-14" disabled={isEmpty(draft)} onClick={() => change(EMPTY)}>
          {t('read.clear')}
        </button>
      </div>
    </Page>
  )
}
