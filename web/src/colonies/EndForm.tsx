import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { ColonyPage, Deed } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { ChoiceField, TextField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'

const WHY = ['UNITED', 'BROKEN_UP', 'DIED_OUT', 'SOLD', 'EMPTIED'] as const

/** A hive comes to its end; its boxes go into the store with their frames, its record stays. */
export function EndForm({ page, onDone }: { page: ColonyPage; onDone: () => void }) {
  const { t } = useTranslation()
  const tell = useTell()
  const [why, setWhy] = useState<(typeof WHY)[number]>('EMPTIED')
  const [store, setStore] = useState(t('stack.store'))
  const send = () => {
    const end: Deed = {
      kind: 'HIVE_ENDED',
      hive: page.colony.id,
      why,
      boxes: page.stack.map((box) => box.id),
      store,
    }
    return tell([end])
  }
  return (
    <SavedForm send={send} onDone={onDone} name={t('endHive.record')}>
      <ChoiceField
        name={t('endHive.why')}
        value={why}
        choices={WHY}
        say={(one) => t(`endHive.${one}`)}
        onChange={setWhy}
      />
      <TextField
        name={t('endHive.store')}
        required
        maxLength={60}
        value={store}
        onChange={setStore}
      />
    </SavedForm>
  )
}
