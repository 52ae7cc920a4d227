import { useTranslation } from 'react-i18next'
import { closesTheHive, type Draft } from './reading'

type Counted = 'framesOfBees' | 'temper' | 'pollenColours'

const CHOICES: Record<Counted, number[]> = {
  framesOfBees: [0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 25, 30],
  temper: [1, 2, 3, 4, 5],
  pollenColours: [0, 1, 2, 3, 4, 5, 6],
}

const FROM_ABOVE: Counted[] = ['framesOfBees']
const AFTER: Counted[] = ['temper', 'pollenColours']

/** What is counted on the whole box; left out is not counted. Seen from above comes before a comb is lifted. */
export function BoxNumbers({
  draft,
  onChange,
  fromAbove = false,
}: {
  draft: Draft
  onChange: (next: Draft) => void
  fromAbove?: boolean
}) {
  const { t } = useTranslation()
  const write = (key: Counted, value: string) => {
    const next = { ...draft }
    if (value === '') delete next[key]
    else next[key] = Number(value)
    onChange(next)
  }
  return (
    <div className="mt-3 flex flex-wrap gap-3">
      {(fromAbove ? FROM_ABOVE : AFTER).map((key) => (
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
      {!fromAbove && <Felt draft={draft} onChange={onChange} />}
    </div>
  )
}

/** What was felt, and the weather. */
function Felt({ draft, onChange }: { draft: Draft; onChange: (next: Draft) => void }) {
  const { t } = useTranslation()
  return (
    <>
      <Word
        name={t('read.lift')}
        words={LIFTS}
        say={(one) => t(`read.lifts.${one}`)}
        value={draft.lift}
        onPick={(lift) => onChange(lift ? { ...draft, lift } : without(draft, 'lift'))}
      />
      <Word
        name={t('read.weather')}
        words={WEATHERS}
        say={(one) => t(`read.weathers.${one}`)}
        value={draft.weather}
        onPick={(weather) => onChange(weather ? { ...draft, weather } : without(draft, 'weather'))}
      />
      {closesTheHive(draft.weather) && (
        <p role="status" className="w-full font-semibold text-crown">
          {t('read.closeUp')}
        </p>
      )}
    </>
  )
}

const LIFTS = ['LIGHT', 'FAIR', 'HEAVY', 'FULL'] as const
const WEATHERS = ['SUN', 'CLOUD', 'HOT', 'COLD', 'WIND', 'RAIN', 'THUNDER'] as const

function without(draft: Draft, key: 'lift' | 'weather'): Draft {
  const next = { ...draft }
  delete next[key]
  return next
}

function Word<W extends string>({
  name,
  words,
  say,
  value,
  onPick,
}: {
  name: string
  words: readonly W[]
  say: (word: W) => string
  value: W | undefined
  onPick: (word: W | undefined) => void
}) {
  const { t } = useTranslation()
  return (
    <label>
      <span className="block text-sm text-ink-2">{name}</span>
      <select
        className="field min-h-12"
        value={value ?? ''}
        onChange={(event) => onPick(words.find((word) => word === event.target.value))}
      >
        <option value="">{t('read.notCounted')}</option>
        {words.map((word) => (
          <option key={word} value={word}>
            {say(word)}
          </option>
        ))}
      </select>
    </label>
  )
}
