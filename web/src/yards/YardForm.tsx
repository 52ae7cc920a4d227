import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import type { Deed, YardPage } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { ChoiceField, NumberField, TextField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'
import { QuantityField } from '../units/QuantityField'
import { yardsQuery } from './queries'

type Climate = YardPage['place']['climate']
export const CLIMATES: Climate[] = [
  'COOL_MARITIME',
  'CONTINENTAL',
  'UPLAND',
  'WARM_DRY_SUMMER',
  'HUMID_SUBTROPICAL',
  'TROPICAL_HIGHLAND',
]

/** Opens a yard, or describes it anew. */
export function YardForm({ yard, onDone }: { yard?: YardPage; onDone: () => void }) {
  const { t } = useTranslation()
  const others = useQuery(yardsQuery).data ?? []
  const tell = useTell()
  const [id] = useState(() => yard?.id ?? uuidv7())
  const [draft, setDraft] = useState({
    name: yard?.name ?? '',
    prefix: yard?.place.prefix ?? '',
    walkOrder: yard?.place.walkOrder,
    latitude: yard?.place.latitude,
    longitude: yard?.place.longitude,
    elevationMetres: yard?.place.elevationMetres,
    caution: yard?.caution ?? '',
    climate: (yard?.place.climateSaid ? yard.place.climate : '') as Climate | '',
  })
  const [highs, setHighs] = useState<(number | undefined)[]>(() =>
    Array.from({ length: 12 }, (_, month) => yard?.place.ownHighs[month]),
  )
  const walkOrder = draft.walkOrder ?? Math.max(0, ...others.map((one) => one.walkOrder)) + 1
  const send = () => {
    const deeds: Deed[] = [
      {
        kind: 'YARD_OPENED',
        yard: id,
        name: draft.name.trim(),
        prefix: draft.prefix.trim(),
        walkOrder,
        latitude: draft.latitude ?? 0,
        longitude: draft.longitude ?? 0,
        elevationMetres: draft.elevationMetres ?? 0,
        caution: draft.caution.trim(),
      },
    ]
    const said = yard?.place.climateSaid ? yard.place.climate : ''
    const ownHighs = highs.flatMap((high) => (high === undefined ? [] : [high]))
    const newHighs = ownHighs.join() !== (yard?.place.ownHighs ?? []).join()
    if ((draft.climate && draft.climate !== said) || newHighs) {
      const climate = draft.climate || (yard?.place.climate ?? 'UPLAND')
      deeds.push({ kind: 'YARD_CLIMATE_SAID', yard: id, climate, ownHighs })
    }
    return tell(deeds)
  }
  return (
    <SavedForm send={send} onDone={onDone} name={t(yard ? 'yardForm.change' : 'yardForm.open')}>
      <TextField
        name={t('yardForm.name')}
        required
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
      />
      <TextField
        name={t('yardForm.prefix')}
        value={draft.prefix}
        onChange={(prefix) => setDraft({ ...draft, prefix })}
      />
      <NumberField
        name={t('yardForm.walkOrder')}
        required
        min={1}
        value={walkOrder}
        onChange={(next) => setDraft({ ...draft, walkOrder: next })}
      />
      <NumberField
        name={t('yardForm.latitude')}
        required
        min={-90}
        max={90}
        step={0.0001}
        value={draft.latitude}
        onChange={(latitude) => setDraft({ ...draft, latitude })}
      />
      <NumberField
        name={t('yardForm.longitude')}
        required
        min={-180}
        max={180}
        step={0.0001}
        value={draft.longitude}
        onChange={(longitude) => setDraft({ ...draft, longitude })}
      />
      <QuantityField
        name={t('yardForm.elevation')}
        quantity="height"
        required
        min={-430}
        max={6000}
        value={draft.elevationMetres}
        onChange={(elevationMetres) => setDraft({ ...draft, elevationMetres })}
      />
      <ChoiceField
        name={t('yardForm.climate')}
        value={draft.climate}
        choices={['', ...CLIMATES] as const}
        say={(one) => t(one === '' ? 'yardForm.likely' : `climate.${one}`)}
        onChange={(climate) => setDraft({ ...draft, climate })}
      />
      <OwnHighs highs={highs} onChange={setHighs} />
      <TextField
        name={t('yardForm.caution')}
        wide
        value={draft.caution}
        onChange={(caution) => setDraft({ ...draft, caution })}
      />
    </SavedForm>
  )
}

/** What a thermometer at the place has told over the years: all twelve months, or none. */
function OwnHighs({
  highs,
  onChange,
}: {
  highs: (number | undefined)[]
  onChange: (next: (number | undefined)[]) => void
}) {
  const { t } = useTranslation()
  const some = highs.some((high) => high !== undefined)
  return (
    <details className="sm:col-span-3">
      <summary className="min-h-8">{t('yardForm.ownHighs')}</summary>
      <p className="mb-2 text-sm text-ink-2">{t('yardForm.ownHighsHow')}</p>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        {highs.map((high, month) => (
          <QuantityField
            key={month}
            name={t(`months.${month}`)}
            quantity="temperature"
            required={some}
            min={-60}
            max={60}
            value={high}
            onChange={(next) => onChange(highs.with(month, next))}
          />
        ))}
      </div>
    </details>
  )
}
