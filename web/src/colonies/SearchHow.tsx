import { useTranslation } from 'react-i18next'
import type { ColonySearch } from '../api/types'
import { WHY, type Draft } from './search'

const TRAITS: ColonySearch['traits'] = ['MARKED', 'MARK_WORN', 'RUNNER', 'SMALL', 'VIRGIN', 'OLD']
const HOW = ['muchSmoke', 'poorLight', 'beginner'] as const
/** Of each pair only one can be so. */
const NOT_BOTH: [ColonySearch['traits'][number], ColonySearch['traits'][number]][] = [
  ['MARKED', 'MARK_WORN'],
  ['VIRGIN', 'OLD'],
]

/** What she is wanted for, what she is like, how it is searched. */
export function SearchHow({
  draft,
  traits,
  onChange,
}: {
  draft: Draft
  traits: ColonySearch['traits']
  onChange: (next: Draft) => void
}) {
  const { t } = useTranslation()
  const hers = draft.traits ?? traits
  const toggle = (trait: (typeof TRAITS)[number]) => {
    const others = NOT_BOTH.flatMap((pair) =>
      pair.includes(trait) ? pair.filter((one) => one !== trait) : [],
    )
    onChange({
      ...draft,
      traits: hers.includes(trait)
        ? hers.filter((one) => one !== trait)
        : [...hers.filter((one) => !others.includes(one)), trait],
    })
  }
  return (
    <section className="mt-4" aria-label={t('find.how')}>
      <label className="block">
        <span className="block text-sm text-ink-2">{t('find.why')}</span>
        <select
          className="field min-h-12 w-full max-w-md"
          value={draft.why}
          onChange={(event) => onChange({ ...draft, why: event.target.value as Draft['why'] })}
        >
          {WHY.map((why) => (
            <option key={why} value={why}>
              {t(`find.wanted.${why}`)}
            </option>
          ))}
        </select>
      </label>
      <fieldset className="mt-2">
        <legend className="text-sm text-ink-2">{t('find.sheIs')}</legend>
        <div className="flex flex-wrap gap-x-4">
          {TRAITS.map((trait) => (
            <label key={trait} className="flex min-h-12 items-center gap-2">
              <input
                type="checkbox"
                className="size-6"
                checked={hers.includes(trait)}
                onChange={() => toggle(trait)}
              />
              {t(`search.trait.${trait}`)}
            </label>
          ))}
        </div>
      </fieldset>
      <fieldset className="mt-1">
        <legend className="text-sm text-ink-2">{t('find.itIs')}</legend>
        <div className="flex flex-wrap gap-x-4">
          {HOW.map((how) => (
            <label key={how} className="flex min-h-12 items-center gap-2">
              <input
                type="checkbox"
                className="size-6"
                checked={draft[how]}
                onChange={(event) => onChange({ ...draft, [how]: event.target.checked })}
              />
              {t(`find.${how}`)}
            </label>
          ))}
        </div>
      </fieldset>
    </section>
  )
}
