import { useTranslation } from 'react-i18next'
import type { Draft } from './reading'

type Counted = 'framesOfBees' | 'temper' | 'pollenColours'

const CHOICES: Record<Counted, number[]> = {
  framesOfBees: [1, 2, 3, 4, 5, 6, 8, 10, 12, 14, 16, 18, 20],
  temper: [1, 2, 3, 4, 5],
  pollenColours: [0, 1, 2, 3, 4, 5, 6],
}

/** What is counted on the whole box; left out is not counted. */
export function BoxNumbers({ draft, onChange }: { draft: Draft; onChange: (next: Draft) => void }) {
  const { t } = useTranslation()
  const write = (key: Counted, value: string) => {
    const next = { ...draft }
    if (value === '') delete next[key]
    else next[key] = Number(value)
    onChange(next)
  }
  return (
    <div className="mt-3 flex flex-wrap gap-3">
      {(Object.keys(CHOICES) as Counted[]).map((key) => (
        <label key={key}>
          <span className="block text-sm text-ink-2">{t(`read.${key}`)}</span>
          <select
            className="field min-h-12"
            value={draft[key] ?? ''}
            onChange={(event) => write(key, event.target.value)}
          >
            <option value="">{t('read.notCounted')}</option>
            {CHOICES[key].map((one) => (
              <option key={one} value={one}>
                {key === 'temper' ? t(`read.tempers.${one}`) : one}
              </option>
            ))}
          </select>
        </label>
      ))}
    </div>
  )
}
