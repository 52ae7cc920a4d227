import { Slider } from 'radix-ui'
import { useTranslation } from 'react-i18next'
import type { SeasonPage, WhatIf } from '../api/types'
import { ChoiceField, TickField } from '../ui/Fields'
import { percent } from './planned'

/** Everybody who has grafted here. */
const graftersOf = (season: SeasonPage): string[] => [
  ...new Set(season.rates.flatMap((rate) => (rate.by.PERSON ?? []).map((line) => line.group))),
]

/** What may be otherwise in a plan than it is. */
const NUMBERS = [
  { key: 'moreNucs', min: 0, max: 200, step: 10 },
  { key: 'moreBuilders', min: 0, max: 6, step: 1 },
] as const

export function WhatIfForm({
  season,
  value,
  onChange,
}: {
  season: SeasonPage
  value: WhatIf
  onChange: (next: WhatIf) => void
}) {
  const { t } = useTranslation()
  const { assurance } = season
  const grafters = graftersOf(season)
  return (
    <div className="mt-2 grid gap-x-6 gap-y-3 sm:grid-cols-2">
      <OneSlider
        name={t('season.assurance')}
        says={percent(value.assurance ?? assurance)}
        value={Math.round((value.assurance ?? assurance) * 100)}
        min={60}
        max={98}
        step={1}
        onChange={(next) => onChange({ ...value, assurance: next / 100 })}
      />
      {NUMBERS.map(({ key, ...range }) => (
        <OneSlider
          key={key}
          name={t(`season.${key}`)}
          says={`+ ${value[key] ?? 0}`}
          value={value[key] ?? 0}
          {...range}
          onChange={(next) => onChange({ ...value, [key]: next })}
        />
      ))}
      <TickField
        name={t('season.workDaysOff')}
        value={value.workDaysOff ?? false}
        onChange={(workDaysOff) => onChange({ ...value, workDaysOff })}
      />
      {grafters.length > 1 && (
        <ChoiceField
          name={t('season.grafter')}
          value={value.grafter ?? ''}
          choices={['', ...grafters]}
          say={(one) => one || t('season.grafterYou')}
          onChange={(next) =>
            onChange(next ? { ...value, grafter: next } : { ...value, grafter: undefined })
          }
        />
      )}
    </div>
  )
}

function OneSlider(props: {
  name: string
  says: string
  value: number
  min: number
  max: number
  step: number
  onChange: (next: number) => void
}) {
  const { name, says, value, onChange, ...range } = props
  return (
    <div>
      <span className="flex justify-between">
        <span className="text-sm text-ink-2">{name}</span>
        <strong>{says}</strong>
      </span>
      <Slider.Root
        className="relative flex h-8 touch-none items-center"
        {...range}
        value={[value]}
        onValueChange={([next]) => next !== undefined && onChange(next)}
      >
        <Slider.Track className="relative h-1 grow bg-rule">
          <Slider.Range className="absolute h-full bg-ink" />
        </Slider.Track>
        <Slider.Thumb
          aria-label={name}
          aria-valuetext={says}
          className="block h-7 w-4 border-2 border-ink bg-sheet"
        />
      </Slider.Root>
    </div>
  )
}
