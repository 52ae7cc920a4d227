import { useTranslation } from 'react-i18next'
import type { ColonySearch } from '../api/types'
import { COMB_HEIGHT, COMB_WIDTH, CombBar } from './CombBar'
import type { Look, PlaceAt } from './search'

/** The combs of each box as one looks down on them, each as likely to carry her as it is dark; a tap says that one holds that comb. */
export function CombOdds({
  page,
  looks,
  picked,
  onPick,
}: {
  page: ColonySearch
  looks: Look[]
  picked: PlaceAt | undefined
  onPick: (place: PlaceAt) => void
}) {
  const { t } = useTranslation()
  const { combs } = page.search
  const most = Math.max(0.01, ...combs.map((one) => one.chance))
  return (
    <section className="mt-4" aria-label={t('find.combs')}>
      {page.boxes
        .map((box, index) => ({ box, number: index + 1 }))
        .reverse()
        .map(({ box, number }) => (
          <div key={box.level} className="mb-2">
            {page.boxes.length > 1 && (
              <p className="text-sm text-ink-2">
                {t(box.honey ? 'find.honeyBox' : 'find.box', { box: number })}
              </p>
            )}
            <div
              className="grid max-w-3xl gap-1"
              style={{ gridTemplateColumns: `repeat(${box.slots}, minmax(0, 1fr))` }}
            >
              {combs
                .filter((one) => one.box === number)
                .map((one) => {
                  const times = looks.filter(
                    ({ place }) =>
                      (place.kind ?? 'COMB') === 'COMB' &&
                      (place.box ?? 1) === number &&
                      place.slot === one.slot,
                  ).length
                  const here =
                    picked?.slot === one.slot && (picked.box ?? 1) === number && picked.side
                  const percent = Math.round(100 * one.chance)
                  return (
                    <button
                      key={one.slot}
                      className="border-0 bg-transparent p-0"
                      style={{ gridColumn: one.slot }}
                      aria-pressed={Boolean(here)}
                      aria-label={t('find.combSays', { slot: one.slot, percent, count: times })}
                      onClick={() =>
                        onPick({ kind: 'COMB', box: number, slot: one.slot, side: 'NEAR' })
                      }
                    >
                      <svg
                        viewBox={`0 0 ${COMB_WIDTH} ${COMB_HEIGHT}`}
                        className="w-full"
                        aria-hidden
                      >
                        <CombBar
                          slot={one.slot}
                          chance={one.chance}
                          most={most}
                          framed={Boolean(here)}
                        />
                        {Array.from({ length: Math.min(6, times) }, (_, nth) => (
                          <circle
                            key={nth}
                            cx={6 + nth * 4.4}
                            cy={7}
                            r={1.8}
                            strokeWidth={1.2}
                            className="fill-ink stroke-paper"
                          />
                        ))}
                      </svg>
                    </button>
                  )
                })}
            </div>
          </div>
        ))}
      <p className="text-sm text-ink-2">{t('find.combsHelp')}</p>
    </section>
  )
}
