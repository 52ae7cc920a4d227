import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { Deed, Queen, UnmarkedOdds } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { unmarkedQuery } from './queries'

/** An unmarked queen where a marked one was: one question. Whoever looked says what became of her; nothing is closed by itself. */
export function UnmarkedAsked({ queen }: { queen: Queen }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [asked, setAsked] = useState(false)
  const query = useQuery({ ...unmarkedQuery(queen.id), enabled: asked })
  const page = query.data
  const answer = (one: UnmarkedOdds) =>
    void record(`${queen.code}: ${one.text}`, [{ deed: deedOf(queen, one) }])
  return (
    <details className="mt-2" onToggle={(event) => setAsked(event.currentTarget.open)}>
      <summary className="inline-block min-h-11 underline decoration-dotted underline-offset-4">
        {t('unmarked.there')}
      </summary>
      {page && (
        <>
          <p className="font-semibold">{page.ask}</p>
          <ul>
            {page.odds.map((one) => (
              <li key={one.was} className="mt-2">
                <button className="act w-full text-left" onClick={() => answer(one)}>
                  {one.text} ({t('unmarked.odds', { percent: Math.round(one.chance * 100) })})
                </button>
              </li>
            ))}
          </ul>
          <ul className="mt-2 list-disc pl-5 text-sm text-ink-2">
            {page.settles.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </>
      )}
    </details>
  )
}

/** Her mark is gone and she stays; she is gone, and it is said how; or both are there, which is noted. */
function deedOf(queen: Queen, one: UnmarkedOdds): Deed {
  switch (one.was) {
    case 'MARK_LOST':
      return { kind: 'QUEEN_SEEN', queen: queen.id, sight: 'MARK_LOST' }
    case 'SUPERSEDED':
    case 'SWARMED':
      return { kind: 'QUEEN_TAKEN_OUT', queen: queen.id, whereTo: one.text, why: 'OTHER' }
    case 'BOTH':
      return { kind: 'QUEEN_NOTED', queen: queen.id, text: one.text }
  }
}
