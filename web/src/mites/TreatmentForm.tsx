import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { MiteHive } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { TextField, TickField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'

/** A treatment put in, or one without brood planned. Label and law decide: nothing here says what or how much. */
export function TreatmentForm({ hive, onDone }: { hive: MiteHive; onDone: () => void }) {
  const { t } = useTranslation()
  const tell = useTell()
  const [planned, setPlanned] = useState(false)
  const [what, setWhat] = useState('')
  const [day, setDay] = useState('')
  const send = () =>
    tell([
      planned
        ? { kind: 'TREATMENT_PLANNED', hive: hive.id, day }
        : {
            kind: 'TREATMENT_IN',
            hive: hive.id,
            what,
            ...(day ? { honeyUntil: day } : {}),
          },
    ])
  return (
    <SavedForm
      name={t(planned ? 'mites.keepPlan' : 'mites.keepTreatment')}
      onDone={onDone}
      send={send}
    >
      <TickField name={t('mites.plan')} value={planned} onChange={setPlanned} />
      {!planned && (
        <TextField name={t('mites.what')} required maxLength={60} value={what} onChange={setWhat} />
      )}
      <TextField
        name={t(planned ? 'mites.planDay' : 'mites.honey')}
        type="date"
        required={planned}
        value={day}
        onChange={setDay}
      />
      <p className="text-sm text-ink-2 sm:col-span-3">{t('mites.label')}</p>
    </SavedForm>
  )
}
