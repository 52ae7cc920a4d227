import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { ColonyPage } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { ChoiceField, NumberField } from '../ui/Fields'

const EVENTS = [
  'QUEEN_REMOVED',
  'QUEEN_GIVEN',
  'CELL_GIVEN',
  'VIRGIN_GIVEN',
  'BROOD_GIVEN',
  'CELLS_DESTROYED',
  'SWARMED',
  'CAST',
  'SPLIT_WITH_QUEEN',
  'SPLIT_WITHOUT_QUEEN',
  'SPLIT_WITHOUT_EGGS',
  'QUEEN_CAGED',
  'QUEEN_RELEASED',
  'BROOD_TAKEN',
  'UNITED',
  'STARTED',
] as const

/** How far a cell that is given has come. */
const GIVEN = ['RIPE', 'SEALED', 'LONG', 'JELLY'] as const

/** Days of a virgin that is given. */
const AGES = [0, 1, 2, 3, 4, 5, 6, 7, 8, 10, 12, 14]

/** Something that was done to the colony, or that it did. */
export function Happened({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [virginDays, setVirginDays] = useState(2)
  const [cell, setCell] = useState<(typeof GIVEN)[number]>('RIPE')
  const [event, setEvent] = useState<(typeof EVENTS)[number]>('QUEEN_REMOVED')
  return (
    <form
      className="mt-6 flex flex-wrap items-end gap-3"
      onSubmit={(submit) => {
        submit.preventDefault()
        void record(`${page.colony.code}: ${t(`happened.${event}`)}`, [
          {
            deed: {
              kind: 'HAPPENED',
              hive: page.colony.id,
              event,
              ...(event === 'CELL_GIVEN' ? { cell } : {}),
              ...(event === 'VIRGIN_GIVEN' ? { virginDays } : {}),
            },
          },
        ])
      }}
    >
      <ChoiceField
        name={t('colony.happened')}
        value={event}
        choices={EVENTS}
        say={(one) => t(`happened.${one}`)}
        onChange={setEvent}
      />
      {event === 'CELL_GIVEN' && (
        <ChoiceField
          name={t('colony.cellGiven')}
          value={cell}
          choices={GIVEN}
          say={(one) => t(`cellLook.${one}`)}
          onChange={setCell}
        />
      )}
      {event === 'VIRGIN_GIVEN' && (
        <label>
          <span className="block text-sm text-ink-2">{t('colony.virginDays')}</span>
          <select
            className="field"
            value={virginDays}
            onChange={(change) => setVirginDays(Number(change.target.value))}
          >
            {AGES.map((days) => (
              <option key={days}>{days}</option>
            ))}
          </select>
        </label>
      )}
      <button className="act">{t('colony.recordHappened')}</button>
    </form>
  )
}

/** Honey that was taken: what it says of the queen follows from what stood beside her. */
export function Harvested({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const [kilograms, setKilograms] = useState<number>()
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3"
      onSubmit={(submit) => {
        submit.preventDefault()
        if (kilograms === undefined) return
        void record(`${page.colony.code}: ${t('deed.HIVE_HARVESTED')} ${kilograms} kg`, [
          { deed: { kind: 'HIVE_HARVESTED', hive: page.colony.id, kilograms } },
        ])
        setKilograms(undefined)
      }}
    >
      <NumberField
        name={t('colony.harvested')}
        required
        min={0.1}
        max={200}
        step={0.1}
        value={kilograms}
        onChange={setKilograms}
      />
      <button className="act">{t('colony.recordHarvest')}</button>
    </form>
  )
}
