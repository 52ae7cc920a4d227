import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import type { BreedersPage } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { breedersQuery } from '../queens/queries'
import { useSession } from '../session/queries'
import { NumberField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { sayMerit } from './merit'
import { breedersForQuery } from './queries'

type Breeders = NonNullable<BreedersPage['found']>

type Asked = {
  daughters: number
  kinship: number
  lines: number
  mostOfOne: number
  droneMothers: number
}

const FIELDS: {
  key: 'daughters' | 'lines' | 'kinship' | 'share' | 'droneMothers'
  min: number
  max: number
  step?: number
  value: (asked: Asked) => number
}[] = [
  { key: 'daughters', min: 1, max: 100_000, value: (asked) => asked.daughters },
  { key: 'lines', min: 1, max: 50, value: (asked) => asked.lines },
  { key: 'kinship', min: 0, max: 1, step: 0.01, value: (asked) => asked.kinship },
  { key: 'share', min: 5, max: 100, value: (asked) => Math.round(asked.mostOfOne * 100) },
  { key: 'droneMothers', min: 1, max: 20, value: (asked) => asked.droneMothers },
]

const number = (search: URLSearchParams, key: string, usual: number) => {
  const value = Number(search.get(key) ?? usual)
  return Number.isFinite(value) ? value : usual
}

/** Who is grafted from next, and how many daughters each: the most merit that keeps lines going and kinship bounded. */
export function BreedersFor({
  search,
  set,
}: {
  search: URLSearchParams
  set: (part: Record<string, string>) => void
}) {
  const { t } = useTranslation()
  const asked = {
    daughters: number(search, 'daughters', 100),
    kinship: number(search, 'kinship', 0.25),
    lines: number(search, 'lines', 3),
    mostOfOne: number(search, 'share', 50) / 100,
    droneMothers: number(search, 'droneMothers', 10),
  }
  const { record } = useRecord()
  const isOwner = useSession().role === 'OWNER'
  const known = useQuery(breedersQuery).data ?? []
  const take = (found: Breeders) => {
    const none = known.filter((one) => found.chosen.every((chosen) => chosen.queen !== one.id))
    void record(t('breedersFor.taken'), [
      ...found.chosen
        .filter((one) => one.daughters > 0)
        .map((one) => ({
          deed: {
            kind: 'QUEEN_BREEDER_SAID' as const,
            queen: one.queen,
            breeder: true,
            daughters: one.daughters,
          },
        })),
      ...none.map((one) => ({
        deed: { kind: 'QUEEN_BREEDER_SAID' as const, queen: one.id, breeder: true, daughters: 1 },
      })),
    ])
  }
  const query = useQuery(breedersForQuery(asked))
  return (
    <section className="mt-6" aria-labelledby="breeders-for">
      <h2 id="breeders-for" className="text-xl">
        {t('breedersFor.title')}
      </h2>
      <div className="my-2 grid max-w-3xl grid-cols-2 items-end gap-3 md:grid-cols-4">
        {FIELDS.map(({ key, min, max, step, value }) => (
          <NumberField
            key={key}
            name={t(`breedersFor.${key}`)}
            min={min}
            max={max}
            step={step ?? 1}
            value={value(asked)}
            onChange={(next) => set({ [key]: next === undefined ? '' : String(next) })}
          />
        ))}
      </div>
      <Answer query={query}>
        {({ found, drones, names, why }) => (
          <>
            {why && <p className="font-semibold text-crown">{why}</p>}
            {found && (
              <>
                <Chosen found={found} names={names} each />
                <p className="mt-1">
                  {t('breedersFor.told', {
                    kinship: found.kinship.toFixed(3),
                    merit: found.merit.toFixed(2),
                  })}{' '}
                  {found.gap > 0
                    ? t('breedersFor.gap', { gap: found.gap.toFixed(2) })
                    : t('breedersFor.proven')}{' '}
                  {found.lineMore !== undefined &&
                    t('breedersFor.lineMore', { merit: found.lineMore.toFixed(2) })}
                </p>
                <ul className="text-sm">
                  {found.warnings.map((one) => (
                    <li key={one}>! {one}</li>
                  ))}
                </ul>
                {isOwner && (
                  <p className="mt-2 flex flex-wrap items-center gap-3">
                    <button className="act act-main" onClick={() => take(found)}>
                      {t('breedersFor.take')}
                    </button>
                    <span className="text-sm text-ink-2">{t('breedersFor.takeHow')}</span>
                  </p>
                )}
                <h3 className="mt-4 text-lg">{t('breedersFor.drones')}</h3>
                {drones ? (
                  <>
                    <Chosen found={drones} names={names} />
                    <ul className="text-sm">
                      {drones.warnings.map((one) => (
                        <li key={one}>! {one}</li>
                      ))}
                    </ul>
                  </>
                ) : (
                  <p>{t('breedersFor.noDrones')}</p>
                )}
              </>
            )}
          </>
        )}
      </Answer>
    </section>
  )
}

function Chosen({
  found,
  names,
  each,
}: {
  found: Breeders
  names: Record<string, string>
  each?: boolean
}) {
  const { t } = useTranslation()
  return (
    <ul className="max-w-3xl border-t-2 border-ink">
      {found.chosen.map((one) => (
        <li
          key={one.queen}
          className="flex min-h-11 flex-wrap items-center gap-x-4 border-b border-rule"
        >
          <Link className="w-28 font-bold underline" to={`/queens/${one.queen}`}>
            {names[one.queen]}
          </Link>
          <span className="w-24">{one.line}</span>
          {each && <strong>{t('breedersFor.each', { count: one.daughters })}</strong>}
          <span className="text-ink-2">{sayMerit(t, one.merit, one.reliability)}</span>
        </li>
      ))}
    </ul>
  )
}
