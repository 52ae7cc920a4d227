import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { PedigreePage, Queen } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { breedersQuery } from '../queens/queries'
import { settingsQuery } from '../settings/queries'
import { sayDay } from '../time/days'
import { ChoiceField, NumberField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { MatingTold } from './MatingTold'
import { marksOf, onScale, sayMerit, USUAL_SCALE } from './merit'
import { Pedigree } from './Pedigree'
import { pedigreeQuery } from './queries'

const TRAITS = [
  'TEMPER',
  'PATTERN',
  'CROP',
  'MITES',
  'MITE_GROWTH',
  'WINTERING',
  'SWARMING',
  'BUILD_UP',
] as const
const HOW = ['ONE_DRONE', 'STATION', 'OPEN'] as const

/** Whom she descends from, with whom she mated, how her colony was marked, what became of her daughters. */
export function Descent({ queen }: { queen: Queen }) {
  const { t } = useTranslation()
  const query = useQuery(pedigreeQuery(queen.id))
  return (
    <Answer query={query}>
      {(page) => (
        <>
          <section aria-labelledby="pedigree">
            <h2 id="pedigree" className="text-xl">
              {t('pedigree.title')}
            </h2>
            <p>{t('pedigree.inbreeding', { percent: Math.round(page.inbreeding * 1000) / 10 })}</p>
            <Pedigree page={page} name={queen.name || queen.code} />
          </section>
          <Marks queen={queen} page={page} />
          <Mated queen={queen} page={page} />
          {page.daughters.length > 0 && <Daughters queen={queen} page={page} />}
          <p className="mt-4">
            <a
              className="underline"
              href={`/api/v1/queens/${queen.id}/certificate.pdf?show=DESCENT,MERIT`}
            >
              {t('pedigree.certificate')}
            </a>
          </p>
        </>
      )}
    </Answer>
  )
}

/** A mark in two taps: what for, and which. */
function Marks({ queen, page }: { queen: Queen; page: PedigreePage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const own = useQuery(settingsQuery).data?.settings.scale
  const scale = own ?? USUAL_SCALE
  const [trait, setTrait] = useState<(typeof TRAITS)[number]>()
  return (
    <section className="mt-6" aria-labelledby="marks">
      <h2 id="marks" className="text-xl">
        {t('scores.title')}
      </h2>
      {page.merit.length > 0 && (
        <ul>
          {page.merit.map((one) => (
            <li key={one.trait} className="grid max-w-xl grid-cols-[10rem_minmax(0,1fr)] gap-x-3">
              <span className="first-letter:uppercase">{one.text}</span>
              <span>
                {sayMerit(t, one.value, one.reliability)}{' '}
                <span className="text-ink-2">
                  {one.own + one.daughters > 0
                    ? t('scores.from', { own: one.own, daughters: one.daughters })
                    : t('scores.byKin')}
                </span>
              </span>
            </li>
          ))}
        </ul>
      )}
      {page.merit.length === 0 && <p>{t('scores.none')}</p>}
      {page.marks.length > 0 && (
        <p className="mt-1 text-ink-2">
          {page.marks
            .slice(0, 8)
            .map((one) => `${sayDay(one.day)} ${one.text} ${onScale(one.value, scale)}`)
            .join(' · ')}
        </p>
      )}
      {queen.alive && (
        <div className="no-print mt-2">
          <p className="text-sm text-ink-2">{t('scores.tap')}</p>
          <div className="flex flex-wrap gap-2">
            {TRAITS.map((one) => (
              <button
                key={one}
                className={`act ${one === trait ? 'act-main' : ''}`}
                aria-pressed={one === trait}
                onClick={() => setTrait(one === trait ? undefined : one)}
              >
                {t(`scores.trait.${one}`)}
              </button>
            ))}
          </div>
          {trait && (
            <div className="mt-2 flex flex-wrap gap-2">
              {marksOf(scale).map((mark) => (
                <button
                  key={mark}
                  className="act"
                  aria-label={t('scores.give', { trait: t(`scores.trait.${trait}`), mark })}
                  onClick={() => {
                    void record(`${queen.code}: ${t(`scores.trait.${trait}`)} ${mark}`, [
                      {
                        deed: {
                          kind: 'QUEEN_SCORED',
                          queen: queen.id,
                          trait,
                          value: mark,
                          ...(own && { scale: own }),
                        },
                      },
                    ])
                    setTrait(undefined)
                  }}
                >
                  {mark}
                </button>
              ))}
              <span className="self-center text-sm text-ink-2">
                {t('scores.best', { most: scale.most })}
              </span>
            </div>
          )}
        </div>
      )}
    </section>
  )
}

function Mated({ queen, page }: { queen: Queen; page: PedigreePage }) {
  const { t } = useTranslation()
  const [changing, setChanging] = useState(false)
  return (
    <section className="mt-6" aria-labelledby="mated">
      <h2 id="mated" className="text-xl">
        {t('mated.title')}
      </h2>
      <p>
        {page.mated.text}{' '}
        <button className="act" aria-expanded={changing} onClick={() => setChanging(!changing)}>
          {t('mated.say')}
        </button>
      </p>
      {changing && <MatedForm queen={queen} page={page} onDone={() => setChanging(false)} />}
      {page.brood && <MatingTold mating={page.brood} />}
    </section>
  )
}

function MatedForm({
  queen,
  page,
  onDone,
}: {
  queen: Queen
  page: PedigreePage
  onDone: () => void
}) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const breeders = useQuery(breedersQuery).data ?? []
  const [how, setHow] = useState<(typeof HOW)[number]>(page.mated.how ?? 'OPEN')
  const [drones, setDrones] = useState(page.mated.droneMother ?? '')
  const [sisters, setSisters] = useState<number | undefined>(8)
  const name = (id: string) => {
    const found = breeders.find((one) => one.id === id)
    return found ? found.name || found.code : t('mated.choose')
  }
  return (
    <form
      className="my-2 grid max-w-3xl grid-cols-2 items-end gap-3 md:grid-cols-4"
      onSubmit={(event) => {
        event.preventDefault()
        void record(`${queen.code}: ${t(`mating.way.${how}`)}`, [
          {
            deed: {
              kind: 'QUEEN_MATED',
              queen: queen.id,
              how,
              ...(how === 'OPEN' ? {} : { droneMother: drones }),
              sisters: how === 'STATION' ? (sisters ?? 8) : 1,
              drones: how === 'ONE_DRONE' ? 1 : 12,
            },
          },
        ])
        onDone()
      }}
    >
      <ChoiceField
        name={t('mating.how')}
        value={how}
        choices={HOW}
        say={(one) => t(`mating.way.${one}`)}
        onChange={setHow}
      />
      {how !== 'OPEN' && (
        <ChoiceField
          name={t(how === 'STATION' ? 'mating.sistersOf' : 'mating.droneOf')}
          required
          value={drones}
          choices={['', ...breeders.map((one) => one.id)]}
          say={name}
          onChange={setDrones}
        />
      )}
      {how === 'STATION' && (
        <NumberField
          name={t('mating.sisters')}
          min={1}
          max={500}
          value={sisters}
          onChange={setSisters}
        />
      )}
      <button className="act act-main">{t('mated.keep')}</button>
    </form>
  )
}

function Daughters({ queen, page }: { queen: Queen; page: PedigreePage }) {
  const { t } = useTranslation()
  return (
    <section className="mt-6" aria-labelledby="daughters">
      <h2 id="daughters" className="text-xl">
        {t('lines.daughters', { count: page.allDaughters, laying: page.laying })}
      </h2>
      <ul className="columns-1 gap-8 md:columns-2">
        {page.daughters.slice(0, 20).map((one) => (
          <li key={one.id} className="break-inside-avoid border-b border-rule py-1">
            <Link className="inline-block min-h-6 underline" to={`/queens/${one.id}`}>
              {one.code}
            </Link>{' '}
            {one.stageText}{' '}
            {one.merit !== undefined && (
              <span className="text-ink-2">{sayMerit(t, one.merit, one.reliability)}</span>
            )}
          </li>
        ))}
      </ul>
      {page.allDaughters > 20 && (
        <Link className="underline" to={`/queens?view=list&kept=ALL&mother=${queen.id}`}>
          {t('pedigree.allDaughters', { count: page.allDaughters })}
        </Link>
      )}
    </section>
  )
}
