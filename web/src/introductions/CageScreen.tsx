import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import type { Deed, Introduction, IntroductionNext } from '../api/types'
import { useParcels, useRecord } from '../outbox/useRecord'
import { sayDay, saySpan } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { introductionQuery } from './queries'

type CageRead = Extract<Deed, { kind: 'CAGE_READ' }>
type Behaviour = CageRead['seen'][number]

const FRIENDLY: readonly Behaviour[] = ['FEEDING', 'FANNING', 'LOOSE', 'BRUSHES_OFF']
const HOSTILE: readonly Behaviour[] = [
  'BITING',
  'BENT_ABDOMENS',
  'MATTED',
  'WILL_NOT_BRUSH_OFF',
  'BALLING',
]
const MINUTES = [1, 2, 5, 10] as const

/** One cage on the top bars: what the bees do, what that means, what is to be done. For gloves. */
export default function CageScreen() {
  const id = useParams().id ?? ''
  const query = useQuery(introductionQuery(id))
  return <Answer query={query}>{(one) => <Cage key={id} one={one} />}</Answer>
}

function Cage({ one }: { one: Introduction }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const waits = useParcels().some(
    (parcel) =>
      !parcel.refusal &&
      parcel.entries.some(({ deed }) => 'introduction' in deed && deed.introduction === one.id),
  )
  const put = (label: string, deeds: readonly Deed[]) =>
    void record(
      `${one.hiveCode}: ${label}`,
      deeds.map((deed) => ({ deed })),
    )
  return (
    <Page
      title={`${one.hiveCode} · ${one.code}`}
      lead={t('introductions.since', { how: one.methodText, day: sayDay(one.since) })}
    >
      {waits && <p className="mb-2 font-semibold">{t('introductions.waiting')}</p>}
      <div className="gap-x-10 lg:grid lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div>
          {one.outcome ? (
            <p className="border-l-4 border-ink pl-3 text-lg">
              <strong>{t(`introductions.outcome.${one.outcome}`)}</strong> {one.afterwards}
            </p>
          ) : (
            one.next.map((next) => <Due key={next.task} next={next} onSay={put} />)
          )}
          {one.inCage && !one.outcome && (
            <Pad
              onRead={(seen, minutes) =>
                put(t('introductions.read'), [
                  { kind: 'CAGE_READ', introduction: one.id, seen: [...seen], minutes },
                ])
              }
            />
          )}
        </div>
        <aside className="mt-6 lg:mt-0">
          <h2 className="text-xl">{t('introductions.soFar')}</h2>
          <ul>
            {one.readings.map((reading, at) => (
              <li key={at} className="border-b border-rule py-1">
                <strong>{sayDay(reading.day)}</strong>{' '}
                {reading.seen.map((sign) => t(`introductions.bees.${sign}`)).join(', ') ||
                  t('introductions.nothingSeen')}{' '}
                · {t('introductions.minutes', { count: reading.minutes })}
              </li>
            ))}
            {one.looks.map((look, at) => (
              <li key={`look ${at}`} className="border-b border-rule py-1">
                <strong>{sayDay(look.day)}</strong> {t('introductions.lookedThrough')}{' '}
                {look.eggs && t('introductions.found.eggs')}{' '}
                {look.virgin && t('introductions.found.virgin')}{' '}
                {look.cells && t('introductions.found.cells')}
              </li>
            ))}
            {one.freedOn && (
              <li className="border-b border-rule py-1">
                <strong>{sayDay(one.freedOn)}</strong> {t('introductions.freed')}
              </li>
            )}
          </ul>
          <p className="mt-2 text-sm text-ink-2">
            {one.inCage && t('introductions.opens', { day: sayDay(one.opens) })}
          </p>
          <p className="mt-2">
            <Link className="inline-block min-h-6 underline" to={`/colonies/${one.hive}`}>
              {t('introductions.toColony', { hive: one.hiveCode })}
            </Link>
          </p>
        </aside>
      </div>
    </Page>
  )
}

function Due({
  next,
  onSay,
}: {
  next: IntroductionNext
  onSay: (label: string, deeds: readonly Deed[]) => void
}) {
  const { t } = useTranslation()
  return (
    <section
      className="mb-4 border-l-4 border-ink py-1 pl-3"
      data-testid="due"
      data-task={next.task}
    >
      <h2 className={`font-work text-2xl leading-8 font-bold ${next.urgent ? 'text-crown' : ''}`}>
        {t(`introductions.task.${next.task}`)}{' '}
        <span className="text-base font-normal text-ink-2">{saySpan(next.when)}</span>
      </h2>
      <p className="text-lg">{next.text}</p>
      <div className="mt-2 grid grid-cols-1 gap-2 sm:grid-cols-2">
        {next.choices.map((choice, index) => (
          <button
            key={choice.key}
            className={`act min-h-16 text-lg ${index === 0 ? 'act-main' : ''}`}
            onClick={() => onSay(t(`introductions.answer.${choice.key}`), choice.deeds)}
          >
            {t(`introductions.answer.${choice.key}`)}
          </button>
        ))}
      </div>
    </section>
  )
}

function Pad({ onRead }: { onRead: (seen: ReadonlySet<Behaviour>, minutes: number) => void }) {
  const { t } = useTranslation()
  const [seen, setSeen] = useState<ReadonlySet<Behaviour>>(new Set())
  const [minutes, setMinutes] = useState<number>(2)
  const tap = (one: Behaviour) => {
    const next = new Set(seen)
    if (!next.delete(one)) next.add(one)
    setSeen(next)
  }
  const row = (name: string, signs: readonly Behaviour[]) => (
    <fieldset className="mt-2">
      <legend className="text-sm text-ink-2">{name}</legend>
      <div className="grid grid-cols-2 gap-2">
        {signs.map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={seen.has(one)}
            className={`act min-h-14 ${seen.has(one) ? 'act-main' : ''}`}
            onClick={() => tap(one)}
          >
            {t(`introductions.bees.${one}`)}
          </button>
        ))}
      </div>
    </fieldset>
  )
  return (
    <section aria-labelledby="pad" className="mt-4">
      <h2 id="pad" className="text-xl">
        {t('introductions.pad')}
      </h2>
      {row(t('introductions.friendly'), FRIENDLY)}
      {row(t('introductions.hostile'), HOSTILE)}
      <fieldset className="mt-2">
        <legend className="text-sm text-ink-2">{t('introductions.watched')}</legend>
        <div className="grid grid-cols-4 gap-2">
          {MINUTES.map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={minutes === one}
              className={`act min-h-14 ${minutes === one ? 'act-main' : ''}`}
              onClick={() => setMinutes(one)}
            >
              {t('introductions.min', { minutes: one })}
            </button>
          ))}
        </div>
      </fieldset>
      <button
        className="act act-main mt-3 min-h-16 w-full text-lg"
        disabled={seen.size === 0}
        onClick={() => {
          onRead(seen, minutes)
          setSeen(new Set())
        }}
      >
        {t('introductions.keep')}
      </button>
    </section>
  )
}
