import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { SplitRecipe } from '../api/types'
import { Refused } from '../api/client'
import { useTell } from '../outbox/useRecord'
import { settingsQuery } from '../settings/queries'
import { ChoiceField, NumberField, TextField, TickField } from '../ui/Fields'

const GETS = ['RAISES_ITS_OWN', 'RIPE_CELL', 'VIRGIN', 'MATED_QUEEN', 'THE_OLD_QUEEN'] as const
const FLOWS = ['DEARTH', 'LITTLE', 'GOOD', 'STRONG'] as const
const PLACES = ['SAME_YARD', 'TURNED_ENTRANCE', 'SHUT_IN', 'AWAY'] as const

type Numbers = [key: string, least: number, most: number, step?: number]
const OF_FRAMES: Numbers[] = [
  ['broodLeast', 0, 10],
  ['broodBest', 0, 10],
  ['withEggs', 0, 10],
  ['mostlySealed', 0, 10],
  ['food', 0, 6],
  ['drawn', 0, 20],
]
const OF_ITSELF: Numbers[] = [
  ['beesLeast', 0, 20, 0.5],
  ['slots', 1, 24],
  ['feedLitres', 0, 20, 0.5],
  ['handsOffDays', 0, 60],
]

const DAY_TEN = [
  ['broodFrames', 'splits.targetBrood'],
  ['framesOfBees', 'splits.targetBees'],
] as const
const WHEN = [
  ['nightsCelsius', 'recipe.nights', -20, 30],
  ['midsummerDays', 'recipe.midsummer', 0, 183],
] as const

/** A recipe copied and changed; it is kept in the settings under a name of its own. */
export function RecipeForm({
  name: named,
  recipe: usual,
  onKept,
}: {
  name: string
  recipe: SplitRecipe
  onKept: (name: string) => void
}) {
  const { t } = useTranslation()
  const [name, setName] = useState(named)
  const [recipe, setRecipe] = useState(usual)
  const settings = useQuery(settingsQuery)
  const client = useQueryClient()
  const tell = useTell()
  const keep = useMutation({
    mutationFn: async (drop: boolean) => {
      if (!settings.data) return undefined
      const others = settings.data.settings.recipes.filter((one) => one.name !== named)
      return tell([
        {
          kind: 'SETTINGS_CHANGED',
          operation: settings.data.operation,
          settings: {
            ...settings.data.settings,
            recipes: drop ? others : [...others, { name: name.trim(), recipe }],
          },
        },
      ])
    },
    onSuccess: async (_, drop) => {
      await client.invalidateQueries()
      onKept(drop ? '' : name.trim())
    },
  })
  const of = <K extends keyof SplitRecipe>(key: K, value: SplitRecipe[K]) =>
    setRecipe((now) => ({ ...now, [key]: value }))
  return (
    <form
      className="no-print mt-3 border-l-4 border-rule pl-3"
      onSubmit={(event) => {
        event.preventDefault()
        keep.mutate(false)
      }}
    >
      <div className="grid grid-cols-2 gap-x-4 gap-y-2 md:grid-cols-5">
        <TextField
          name={t('recipe.name')}
          required
          maxLength={60}
          value={name}
          onChange={setName}
        />
        {OF_FRAMES.map(([key, min, max]) => (
          <NumberField
            key={key}
            name={t(`recipe.${key}`)}
            required
            min={min}
            max={max}
            value={recipe.frames[key as keyof SplitRecipe['frames']]}
            onChange={(next) => of('frames', { ...recipe.frames, [key]: next ?? 0 })}
          />
        ))}
        {OF_ITSELF.map(([key, min, max, step = 1]) => (
          <NumberField
            key={key}
            name={t(`recipe.${key}`)}
            required
            min={min}
            max={max}
            step={step}
            value={recipe[key as 'slots']}
            onChange={(next) => of(key as 'slots', next ?? 0)}
          />
        ))}
        <ChoiceField
          name={t('recipe.gets')}
          value={recipe.gets}
          choices={GETS}
          say={(one) => t(`recipe.get.${one}`)}
          onChange={(one) => of('gets', one)}
        />
        <ChoiceField
          name={t('splits.place')}
          value={recipe.place}
          choices={PLACES}
          say={(one) => t(`splits.places.${one}`)}
          onChange={(one) => of('place', one)}
        />
        {DAY_TEN.map(([key, name]) => (
          <NumberField
            key={key}
            name={t(name)}
            required
            min={0}
            max={20}
            step={0.1}
            value={recipe.dayTen[key]}
            onChange={(next) => of('dayTen', { ...recipe.dayTen, [key]: next ?? 0 })}
          />
        ))}
        {WHEN.map(([key, name, min, max]) => (
          <NumberField
            key={key}
            name={t(name)}
            required
            min={min}
            max={max}
            value={recipe.when[key]}
            onChange={(next) => of('when', { ...recipe.when, [key]: next ?? 0 })}
          />
        ))}
        <ChoiceField
          name={t('recipe.flow')}
          value={recipe.when.flow}
          choices={FLOWS}
          say={(one) => t(`splits.flow.${one}`)}
          onChange={(flow) => of('when', { ...recipe.when, flow })}
        />
        <TickField
          name={t('recipe.autumn')}
          value={recipe.when.autumn}
          onChange={(autumn) => of('when', { ...recipe.when, autumn })}
        />
        <TickField
          name={t('recipe.withBeetles')}
          value={recipe.when.withBeetles}
          onChange={(withBeetles) => of('when', { ...recipe.when, withBeetles })}
        />
      </div>
      {keep.error && (
        <p role="alert" className="mt-2 font-semibold text-crown">
          {keep.error instanceof Refused
            ? [keep.error.message, ...keep.error.findings.map((one) => one.message)].join(' ')
            : t('connection.unreachable')}
        </p>
      )}
      <div className="mt-3 flex gap-3">
        <button className="act act-main" disabled={keep.isPending}>
          {t('recipe.keep')}
        </button>
        {named !== '' && (
          <button
            type="button"
            className="act"
            disabled={keep.isPending}
            onClick={() => keep.mutate(true)}
          >
            {t('recipe.forget')}
          </button>
        )}
      </div>
    </form>
  )
}
