import { useTranslation } from 'react-i18next'
import type { SeasonPage } from '../api/types'
import { Reasons } from '../ui/Reasons'
import { percent } from './planned'

type YardUse = SeasonPage['yards'][number]

/** "Weir Bend 12, Larch Step 10" */
export const sayPlaces = (at: readonly { yard: string; cells: number }[]): string =>
  at.map((one) => `${one.yard} ${one.cells}`).join(', ')

/** Which yard takes how many cells, how surely they mate there, and the way there. */
export function MatingYards({ yards }: { yards: YardUse[] }) {
  const { t } = useTranslation()
  const used = yards.filter((one) => one.cells > 0)
  if (used.length === 0) return null
  const idle = yards.filter((one) => one.cells === 0).map((one) => one.yard)
  return (
    <section aria-label={t('season.yards')} className="mt-3 max-w-4xl" data-testid="mating-yards">
      <h4 className="font-work font-bold">{t('season.yards')}</h4>
      <ul className="border-t-2 border-ink">
        {used.map((one) => (
          <li key={one.yard} className="border-b border-rule py-1">
            <Reasons reasons={one.reasons}>
              <strong>{one.yard}</strong>:{' '}
              {t('season.yardTakes', {
                count: one.cells,
                most: one.most,
                nucs: one.nucs,
                mating: percent(one.mating),
              })}{' '}
              {one.hours > 0 && t('season.yardTrips', { count: one.trips, hours: one.hours })}
            </Reasons>
          </li>
        ))}
      </ul>
      {idle.length > 0 && (
        <p className="text-sm text-ink-2">{t('season.yardsIdle', { yards: idle.join(', ') })}</p>
      )}
    </section>
  )
}
