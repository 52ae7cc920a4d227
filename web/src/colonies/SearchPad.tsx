import { useTranslation } from 'react-i18next'
import type { Draft } from './reading'

const PASSES = [1, 2, 3]
const MINUTES = [2, 5, 10, 15, 20, 30, 45, 60]
const COLOURS = ['WHITE', 'YELLOW', 'RED', 'GREEN', 'BLUE', 'OTHER'] as const

/** How she was searched for, and the mark that was seen on her. */
export function SearchPad({ draft, onChange }: { draft: Draft; onChange: (next: Draft) => void }) {
  const { t } = useTranslation()
  const { search } = draft
  const searched = (part: Partial<NonNullable<Draft['search']>>) =>
    onChange({ ...draft, search: { minutes: 5, passes: 1, muchSmoke: false, ...search, ...part } })
  return (
    <fieldset className="mt-4 flex flex-wrap items-end gap-3">
      <legend className="mb-1 text-sm text-ink-2">{t('read.search')}</legend>
      <label>
        <span className="block text-sm text-ink-2">{t('read.passes')}</span>
        <select
          className="field min-h-12"
          value={search?.passes ?? ''}
          onChange={(event) =>
            event.target.value === ''
              ? onChange({ ...draft, search: undefined })
              : searched({ passes: Number(event.target.value) })
          }
        >
          <option value="">{t('read.notCounted')}</option>
          {PASSES.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </label>
      {search && (
        <>
          <label>
            <span className="block text-sm text-ink-2">{t('read.minutes')}</span>
            <select
              className="field min-h-12"
              value={search.minutes}
              onChange={(event) => searched({ minutes: Number(event.target.value) })}
            >
              {MINUTES.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </select>
          </label>
          <label className="flex min-h-12 items-center gap-2">
            <input
              type="checkbox"
              className="size-6"
              checked={search.muchSmoke}
              onChange={(event) => searched({ muchSmoke: event.target.checked })}
            />
            {t('read.muchSmoke')}
          </label>
        </>
      )}
      <label>
        <span className="block text-sm text-ink-2">{t('read.mark')}</span>
        <select
          className="field min-h-12"
          value={draft.mark ?? ''}
          onChange={(event) =>
            onChange({ ...draft, mark: event.target.value === '' ? undefined : event.target.value })
          }
        >
          <option value="">{t('read.notCounted')}</option>
          {COLOURS.map((one) => (
            <option key={one} value={one}>
              {t(`read.marks.${one}`)}
            </option>
          ))}
        </select>
      </label>
    </fieldset>
  )
}
