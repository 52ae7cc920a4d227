import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { Deed, Queen } from '../api/types'
import { UnmarkedAsked } from '../lineage/UnmarkedAsked'
import { useDraft } from '../outbox/useDraft'
import { useRecord } from '../outbox/useRecord'
import { ChoiceField, TextField } from '../ui/Fields'
import { COLOURS } from './colours'
import { actsFor, deedOf } from './sights'

type Colour = (typeof COLOURS)[number] | ''
const LEAVING = ['SOLD', 'GIVEN_AWAY', 'KILLED', 'OTHER'] as const

type Put = (word: string, deed: Deed | undefined) => void

/** Marking, a note, her leaving, and everything else that can be seen of her. */
export function Act({ queen }: { queen: Queen }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const put: Put = (word, deed) => {
    if (deed) void record(`${queen.code}: ${word}`, [{ deed }])
  }
  const isCell = ['GRAFTED', 'TAKEN', 'SEALED'].includes(queen.stage)
  return (
    <section aria-labelledby="act" className="mt-6 lg:mt-0">
      <h2 id="act" className="text-xl">
        {t('queen.act')}
      </h2>
      <div className="mt-4 flex flex-wrap gap-2">
        {actsFor(queen.stage)
          .filter((act) => act !== 'MARKED' && act !== 'TAKEN_OUT')
          .map((act) => (
            <button
              key={act}
              className="act"
              onClick={() => put(t(`act.${act}`), deedOf(act, queen))}
            >
              {t(`act.${act}`)}
            </button>
          ))}
      </div>
      {!isCell && <Mark queen={queen} put={put} />}
      <Note queen={queen} put={put} />
      {!isCell && <Leaves queen={queen} put={put} />}
    </section>
  )
}

function Mark({ queen, put }: { queen: Queen; put: Put }) {
  const { t } = useTranslation()
  const [number, setNumber] = useState('')
  const [colour, setColour] = useState<Colour>(queen.colour ?? 'WHITE')
  return (
    <>
      <form
        className="mt-4 grid grid-cols-[1.3fr_1fr_auto] items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          put(t('act.MARKED'), {
            kind: 'QUEEN_MARKED',
            queen: queen.id,
            ...(colour ? { colour } : {}),
            number,
          })
        }}
      >
        <ChoiceField
          name={t('queen.markColour')}
          value={colour}
          choices={['', ...COLOURS]}
          say={(one) =>
            one === ''
              ? t('queen.noColour')
              : `${t(`colour.${one}`)}${one === queen.colour ? ` · ${queen.emergenceYear}` : ''}`
          }
          onChange={setColour}
        />
        <TextField
          name={t('queen.number')}
          maxLength={8}
          required={colour === ''}
          value={number}
          onChange={setNumber}
        />
        <button className="act act-main">{t('queen.mark')}</button>
      </form>
      {queen.stage !== 'VIRGIN' && (
        <p className="mt-2">
          <button className="act" onClick={() => put(t('act.CLIPPED'), deedOf('CLIPPED', queen))}>
            {t('act.CLIPPED')}
          </button>
        </p>
      )}
      {queen.mark && (
        <p className="mt-2 flex flex-wrap items-center gap-3">
          <button
            className="act shrink-0"
            onClick={() => put(t('act.MARK_WORN'), deedOf('MARK_WORN', queen))}
          >
            {t('act.MARK_WORN')}
          </button>
          <button
            className="act shrink-0"
            onClick={() => put(t('act.MARK_LOST'), deedOf('MARK_LOST', queen))}
          >
            {t('act.MARK_LOST')}
          </button>
          <span className="text-sm text-ink-2">{t('queen.markLostHow')}</span>
        </p>
      )}
      {queen.mark !== '' && <UnmarkedAsked queen={queen} />}
    </>
  )
}

function Note({ queen, put }: { queen: Queen; put: Put }) {
  const { t } = useTranslation()
  const [note, setNote, clearNote] = useDraft(`draft-note-${queen.id}`, '')
  return (
    <form
      className="mt-3 flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        put(t('act.NOTED'), { kind: 'QUEEN_NOTED', queen: queen.id, text: note })
        clearNote()
      }}
    >
      <div className="flex-1">
        <TextField name={t('round.noteLabel')} required value={note} onChange={setNote} />
      </div>
      <button className="act">{t('round.keepNote')}</button>
    </form>
  )
}

/** Sold, given away, killed: she is gone for good, and her record stays. */
function Leaves({ queen, put }: { queen: Queen; put: Put }) {
  const { t } = useTranslation()
  const [why, setWhy] = useState<(typeof LEAVING)[number]>('SOLD')
  const [whereTo, setWhereTo] = useState('')
  return (
    <form
      className="mt-4 grid grid-cols-[1fr_1fr_auto] items-end gap-2 border-t border-rule pt-3"
      onSubmit={(event) => {
        event.preventDefault()
        put(t(`leaving.${why}`), { kind: 'QUEEN_TAKEN_OUT', queen: queen.id, why, whereTo })
      }}
    >
      <ChoiceField
        name={t('leaving.name')}
        value={why}
        choices={LEAVING}
        say={(one) => t(`leaving.${one}`)}
        onChange={setWhy}
      />
      <TextField
        name={t('leaving.whereTo')}
        maxLength={200}
        value={whereTo}
        onChange={setWhereTo}
      />
      <button className="act">{t('leaving.record')}</button>
    </form>
  )
}
