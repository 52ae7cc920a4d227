import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { Deed, JournalLine, Sight } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { useSession } from '../session/queries'
import { ChoiceField, TextField } from '../ui/Fields'

const SIGHTS: Sight[] = [
  'EMERGED',
  'DUD',
  'VIRGIN',
  'NO_EGGS_YET',
  'EGGS',
  'SEALED_WORKER_BROOD',
  'DRONE_BROOD_ONLY',
  'NOT_FOUND',
  'DEAD',
]

/** Puts another day, or another sight, in an entry's place, or takes it away. The first one stays readable. */
export function Correction({
  label,
  says,
  line,
  close,
}: {
  label: string
  says: string
  line: JournalLine
  close: () => void
}) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const { today } = useSession()
  const { deed } = line
  const queen = deed.kind === 'QUEEN_PLACED' || deed.kind === 'QUEEN_SEEN' ? deed.queen : ''
  const before = deed.kind === 'QUEEN_SEEN' ? deed.sight : ''
  const [day, setDay] = useState(line.happenedAt.slice(0, 10))
  const [sight, setSight] = useState<Sight | ''>(before)
  const choices = [...new Set<Sight | ''>([before, ...SIGHTS])]
  const put = (correction: Deed, onDay?: string) => {
    void record(`${label}: ${t('queen.correct')}`, [
      { deed: correction, corrects: line.id, ...(onDay ? { day: onDay } : {}) },
    ])
    close()
  }
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        put(sight && queen ? { kind: 'QUEEN_SEEN', queen, sight } : deed, day)
      }}
    >
      {queen && (
        <ChoiceField
          name={t('queen.instead')}
          value={sight}
          choices={choices}
          say={(one) => (one ? t(`act.${one}`) : says)}
          onChange={setSight}
        />
      )}
      <TextField
        name={t('queen.onDay')}
        type="date"
        max={today}
        required
        value={day}
        onChange={setDay}
      />
      <button className="act act-main">{t('queen.keepCorrection')}</button>
      {line.removable && (
        <button type="button" className="act" onClick={() => put({ kind: 'WITHDRAWN' })}>
          {t('queen.withdraw')}
        </button>
      )}
    </form>
  )
}
