import { useTranslation } from 'react-i18next'
import type { SearchView } from '../api/types'
import type { Draft } from './search'

const HELD: NonNullable<Draft['held']>[] = [
  'NOTED',
  'CATCHER',
  'PRESS_IN_CAGE',
  'CAGE',
  'COMB_APART',
]

/** She is found: how she is held, and how the hive is closed. */
export function HeldAndClosed({
  view,
  draft,
  onChange,
  onDone,
}: {
  view: SearchView
  draft: Draft
  onChange: (next: Draft) => void
  onDone: () => void
}) {
  const { t } = useTranslation()
  return (
    <section className="max-w-3xl" aria-label={t('find.found')}>
      <p role="status" className="mb-2 font-read text-2xl" data-testid="next">
        {t('find.found')}
      </p>
      <label className="block">
        <span className="block text-sm text-ink-2">{t('find.held')}</span>
        <select
          className="field min-h-12 w-full max-w-md"
          value={draft.held ?? 'NOTED'}
          onChange={(event) =>
            onChange({ ...draft, held: event.target.value as NonNullable<Draft['held']> })
          }
        >
          {HELD.map((held) => (
            <option key={held} value={held}>
              {t(`find.heldAs.${held}`)}
            </option>
          ))}
        </select>
      </label>
      <ul className="mt-2 list-disc pl-5">
        {view.cautions.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <h2 className="mt-3 text-xl">{t('find.closing')}</h2>
      <ol className="mb-3 list-decimal pl-6">
        {view.closing.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ol>
      <button className="act act-main min-h-14 w-full" onClick={onDone}>
        {t('find.record')}
      </button>
    </section>
  )
}
