import { scaleLinear } from 'd3-scale'
import { area, line as path } from 'd3-shape'
import { useTranslation } from 'react-i18next'
import type { HiveForecast } from '../api/types'

const WIDTH = 360
const HEIGHT = 90

/** Frames of bees of several hives together over the next weeks, with the split and without. */
export function Course({
  withSplit,
  without,
  says = 'splits.courseSays',
}: {
  withSplit: HiveForecast[]
  without: HiveForecast[]
  says?: 'splits.courseSays' | 'splits.courseUnited' | 'splits.courseBoost' | 'forecast.course'
}) {
  const { t } = useTranslation()
  const total = (all: HiveForecast[], of: 'least' | 'likely' | 'most') =>
    (all[0]?.course ?? []).map((_, at) =>
      all.reduce((sum, one) => sum + (one.course[at]?.framesOfBees[of] ?? 0), 0),
    )
  const days = total(withSplit, 'likely').length
  if (days < 2) return null
  const x = scaleLinear([0, days - 1], [0, WIDTH])
  const top = Math.max(...total(without, 'most'), ...total(withSplit, 'most'))
  const y = scaleLinear([0, top], [HEIGHT, 4])
  const draw = path<number>()
    .x((_, at) => x(at))
    .y((value) => y(value))
  const least = total(withSplit, 'least')
  const band = area<number>()
    .x((_, at) => x(at))
    .y0((_, at) => y(least[at] ?? 0))
    .y1((value) => y(value))
  const last = (all: HiveForecast[]) => (total(all, 'likely').at(-1) ?? 0).toFixed(0)
  return (
    <figure className="max-w-xl">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT + 4}`}
        className="w-full"
        role="img"
        aria-label={t(says, { with: last(withSplit), without: last(without) })}
      >
        <path d={band(total(withSplit, 'most')) ?? ''} className="fill-rule" opacity={0.7} />
        <path
          d={draw(total(without, 'likely')) ?? ''}
          className="fill-none stroke-ink-3"
          strokeWidth={1.5}
        />
        <path
          d={draw(total(withSplit, 'likely')) ?? ''}
          className="fill-none stroke-ink"
          strokeWidth={2.5}
          strokeDasharray="5 3"
        />
      </svg>
      <figcaption className="text-sm text-ink-2">
        {t(says, { with: last(withSplit), without: last(without) })}
      </figcaption>
    </figure>
  )
}
