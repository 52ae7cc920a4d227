import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { MiteHive } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { sayDay } from '../time/days'
import { BroodStop } from './BroodStop'
import { CountForm } from './CountForm'
import { TreatmentForm } from './TreatmentForm'
import { Trend } from './Trend'

type Open = 'count' | 'treat' | 'stop' | ''

/** What was counted in one hive, what it means, and what can be recorded of it. Its name is written where it stands in a list. */
export function MiteHiveLines({ hive, named = false }: { hive: MiteHive; named?: boolean }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [open, setOpen] = useState<Open>('')
  const newest = hive.counts[0]
  const toggle = (next: Open) => setOpen(open === next ? '' : next)
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        {named && (
          <Link
            className="inline-block min-h-6 w-16 font-bold underline"
            to={`/colonies/${hive.id}`}
          >
            {hive.code}
          </Link>
        )}
        {newest?.percent && (
          <span className={hive.stale ? 'text-ink-2' : ''}>
            <strong>{t('mites.percent', { percent: newest.percent.likely })}</strong>{' '}
            <span className="text-ink-2">
              {t('mites.between', { least: newest.percent.least, most: newest.percent.most })}
            </span>
          </span>
        )}
        {newest?.inAll && (
          <span>{t('mites.inAll', { least: newest.inAll.least, most: newest.inAll.most })}</span>
        )}
        <span className="text-ink-2">
          {newest
            ? t(hive.stale ? 'mites.stale' : 'mites.counted', {
                day: sayDay(newest.day),
                way: t(`mites.way.${newest.way}`),
              })
            : t('mites.never')}
        </span>
        <span className="ml-auto flex gap-2">
          <button
            className="act"
            aria-expanded={open === 'count'}
            aria-label={t('mites.countIn', { hive: hive.code })}
            onClick={() => toggle('count')}
          >
            {t('mites.count')}
          </button>
          <button
            className="act"
            aria-expanded={open === 'treat'}
            aria-label={t('mites.treatIn', { hive: hive.code })}
            onClick={() => toggle('treat')}
          >
            {t('mites.treat')}
          </button>
          <button
            className="act"
            aria-expanded={open === 'stop'}
            aria-label={t('mites.stopIn', { hive: hive.code })}
            onClick={() => toggle('stop')}
          >
            {t('mites.stop')}
          </button>
        </span>
      </div>
      {hive.rules.length > 0 && (
        <ul className="text-sm">
          {hive.rules.map((rule) => (
            <li key={rule.school} className={rule.says === 'ACT' ? 'font-semibold' : ''}>
              {rule.text}
            </li>
          ))}
          {hive.disagree && <li className="font-semibold text-crown">{t('mites.disagree')}</li>}
        </ul>
      )}
      {hive.course && (
        <p className="text-sm text-ink-2">
          {t('mites.course', {
            day: sayDay(hive.course.on),
            likely: hive.course.percent.likely,
            least: hive.course.percent.least,
            most: hive.course.percent.most,
          })}
        </p>
      )}
      {newest?.cautions.map((one) => (
        <p key={one} className="text-sm">
          ! {one}
        </p>
      ))}
      {hive.treatment && (
        <p>
          {t('mites.inIt', { what: hive.treatment, day: sayDay(hive.treatedSince ?? '') })}{' '}
          <button
            className="act"
            onClick={() =>
              void record(t('mites.outOf', { hive: hive.code }), [
                { deed: { kind: 'TREATMENT_OUT', hive: hive.id } },
              ])
            }
          >
            {t('mites.takeOut', { hive: hive.code })}
          </button>
        </p>
      )}
      {hive.honeyUntil && <p>{t('mites.honeyUntil', { day: sayDay(hive.honeyUntil) })}</p>}
      {hive.planned && (
        <p>
          {t('mites.plannedOn', { day: sayDay(hive.planned) })}{' '}
          <button
            className="act"
            onClick={() =>
              void record(t('mites.notPlanned', { hive: hive.code }), [
                { deed: { kind: 'TREATMENT_NOT_PLANNED', hive: hive.id } },
              ])
            }
          >
            {t('mites.notPlanned', { hive: hive.code })}
          </button>
        </p>
      )}
      {hive.release && (
        <p>
          {t('mites.release', { day: sayDay(hive.release) })}{' '}
          <button
            className="act"
            onClick={() =>
              void record(t('mites.released', { hive: hive.code }), [
                { deed: { kind: 'HAPPENED', hive: hive.id, event: 'QUEEN_RELEASED' } },
              ])
            }
          >
            {t('mites.released', { hive: hive.code })}
          </button>
        </p>
      )}
      {hive.counts.length > 1 && <Trend counts={hive.counts} />}
      {open === 'count' && <CountForm hive={hive} onDone={() => setOpen('')} />}
      {open === 'stop' && <BroodStop hive={hive} onDone={() => setOpen('')} />}
      {open === 'treat' && <TreatmentForm hive={hive} onDone={() => setOpen('')} />}
    </>
  )
}
