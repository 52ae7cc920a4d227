import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { Deed, JournalLine } from '../api/types'
import { hivesQuery } from '../colonies/queries'
import { sayDay } from '../time/days'
import { Answer, More } from '../ui/Page'
import { yardsQuery } from '../yards/queries'
import { Correction } from './Correction'
import { useJournal } from './queries'
import { what, type Names } from './words'

/** Everything recorded of a thing, the oldest first, each to be put right or taken back where it stands. */
export function Entries({
  subject,
  label,
  without,
}: {
  subject: string
  /** what the thing is called */
  label: string
  /** kinds that have a list of their own on the same screen */
  without?: ReadonlySet<Deed['kind']>
}) {
  const { t } = useTranslation()
  const query = useJournal(subject)
  const yards = useQuery(yardsQuery).data ?? []
  const hives = useQuery(hivesQuery).data ?? []
  const names: Names = {
    yard: (id) => yards.find((one) => one.id === id)?.name ?? '',
    hive: (id) => hives.find((one) => one.id === id)?.code ?? '',
  }
  return (
    <section aria-labelledby="entries" className="mt-6">
      <h2 id="entries" className="text-xl">
        {t('queen.entries', { what: label })}
      </h2>
      <More query={query} name={t('queen.olderEntries')} />
      <Answer query={query}>
        {(lines) => (
          <ul className="mt-2 border-t-2 border-ink">
            {lines
              .toReversed()
              .filter((line) => line.deed.kind !== 'WITHDRAWN' && !without?.has(line.deed.kind))
              .map((line) => (
                <Line
                  key={line.id}
                  line={line}
                  says={what(line.deed, subject, names, t)}
                  label={label}
                />
              ))}
          </ul>
        )}
      </Answer>
    </section>
  )
}

function Line({ line, says, label }: { line: JournalLine; says: string; label: string }) {
  const { t } = useTranslation()
  const [correcting, setCorrecting] = useState(false)
  return (
    <li className="border-b border-rule py-2" data-testid="entry" data-stands={line.stands}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="w-28">{sayDay(line.happenedAt.slice(0, 10))}</span>
        <span className={line.stands ? 'min-w-0 font-bold' : 'min-w-0 line-through'}>{says}</span>
        <span className="text-sm text-ink-2">
          {line.by}
          {!line.stands && ` · ${t('queen.corrected')}`}
        </span>
        {line.stands && line.correctable && (
          <button
            className="ml-auto min-h-8 underline"
            aria-expanded={correcting}
            aria-label={t('queen.correctLabel', { what: says })}
            onClick={() => setCorrecting(!correcting)}
          >
            {t('queen.correct')}
          </button>
        )}
      </div>
      {line.clash && <p className="font-semibold text-crown">{line.clash}</p>}
      {correcting && (
        <Correction label={label} says={says} line={line} close={() => setCorrecting(false)} />
      )}
    </li>
  )
}
