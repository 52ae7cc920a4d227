import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { ColonyPage, ReadingNotes } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { sayDay } from '../time/days'

/** Frames of bees as counted for the whole, or else the seams of the boxes together. */
function covered({ framesOfBees, boxes }: ReadingNotes): number | undefined {
  const seams = boxes.flatMap((box) => box.seams ?? [])
  return framesOfBees ?? (seams.length > 0 ? seams.reduce((sum, one) => sum + one) : undefined)
}

/** Every reading, the newest first; each can be put right or taken back. */
export function Readings({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const words = (reading: ReadingNotes) =>
    [
      ...(reading.looked ? [t(`read.looked.${reading.looked}`)] : []),
      ...reading.seen.map((sign) => t(`sign.${sign}`)),
      ...(covered(reading) === undefined ? [] : [t('read.covered', { count: covered(reading) })]),
      ...(reading.pollenColours === undefined
        ? []
        : [t('read.colours', { count: reading.pollenColours })]),
      ...(reading.temper ? [t(`read.tempers.${reading.temper}`)] : []),
      ...(reading.lift ? [t(`read.lifts.${reading.lift}`)] : []),
      ...(reading.weather ? [t(`read.weathers.${reading.weather}`)] : []),
      ...reading.cells.map(
        (cell) =>
          `${cell.count} × ${t(`cellLook.${cell.look}`)}${
            cell.guessedDays === undefined
              ? ''
              : ` (${t('read.guessed', { count: cell.guessedDays })})`
          }`,
      ),
      ...(reading.search ? [t('read.searched', reading.search)] : []),
      ...(reading.mark
        ? [t('read.markSeen', { colour: t(`read.marks.${reading.mark}`, reading.mark) })]
        : []),
      ...reading.absent.map((sign) => t('colony.no', { what: t(`sign.${sign}`) })),
    ].join(', ')
  return (
    <section aria-labelledby="readings" className="mt-6">
      <h2 id="readings" className="text-xl">
        {t('colony.readings')}
      </h2>
      {page.readings.length === 0 && <p>{t('colonies.neverRead')}</p>}
      <ul className="mt-1 border-t-2 border-ink">
        {page.readings.map((line) => (
          <li
            key={line.entry}
            className="flex flex-wrap gap-x-4 border-b border-rule py-2"
            data-testid="reading"
          >
            <strong className="w-24">{sayDay(line.day)}</strong>
            <span className="block min-w-0 flex-1 first-letter:uppercase">
              {words(line.reading) || t('colony.framesOnly')}
            </span>
            <span className="text-sm text-ink-2">{line.by}</span>
            <Link
              className="inline-block min-h-8 underline"
              to={`/colonies/${page.colony.id}/read?corrects=${line.entry}`}
              aria-label={t('colony.correctLabel', { day: sayDay(line.day) })}
            >
              {t('colony.correct')}
            </Link>
            <button
              className="min-h-8 underline"
              aria-label={t('colony.withdrawLabel', { day: sayDay(line.day) })}
              onClick={() =>
                void record(`${page.colony.code}: ${t('queen.withdraw')}`, [
                  { deed: { kind: 'WITHDRAWN' }, corrects: line.entry },
                ])
              }
            >
              {t('queen.withdraw')}
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
