import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { NumberField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { sayMerit } from './merit'
import { breedersForQuery } from './queries'

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
  }
  const query = useQuery(breedersForQuery(asked))
  const put = (key: string) => (value: number | undefined) =>
    set({ [key]: value === undefined ? '' : String(value) })
  return (
    <section className="mt-6" aria-labelledby="breeders-for">
      <h2 id="breeders-for" className="text-xl">
        {t('breedersFor.title')}
      </h2>
      <div className="my-2 grid max-w-3xl grid-cols-2 items-end gap-3 md:grid-cols-4">
        <NumberField
          name={t('breedersFor.daughters')}
          min={1}
          max={100_000}
          value={asked.daughters}
          onChange={put('daughters')}
        />
        <NumberField
          name={t('breedersFor.lines')}
          min={1}
          max={50}
          value={asked.lines}
          onChange={put('lines')}
        />
        <NumberField
          name={t('breedersFor.kinship')}
          min={0}
          max={1}
          step={0.01}
          value={asked.kinship}
          onChange={put('kinship')}
        />
        <NumberField
          name={t('breedersFor.share')}
          min={5}
          max={100}
          value={Math.round(asked.mostOfOne * 100)}
          onChange={put('share')}
        />
      </div>
      <Answer query={query}>
        {({ found, names, why }) => (
          <>
            {why && <p className="font-semibold text-crown">{why}</p>}
            {found && (
              <>
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
                      <strong>{t('breedersFor.each', { count: one.daughters })}</strong>
                      <span className="text-ink-2">{sayMerit(t, one.merit, one.reliability)}</span>
                    </li>
                  ))}
                </ul>
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
              </>
            )}
          </>
        )}
      </Answer>
    </section>
  )
}
