import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { MiteHive } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { ChoiceField, NumberField, TickField } from '../ui/Fields'
import { SavedForm } from '../ui/SavedForm'

const WAYS = ['WASH', 'SUGAR', 'NATURAL_FALL'] as const

/** A count: the queen first, then bees and mites. */
export function CountForm({ hive, onDone }: { hive: MiteHive; onDone: () => void }) {
  const { t } = useTranslation()
  const tell = useTell()
  const [way, setWay] = useState<(typeof WAYS)[number]>('WASH')
  const [bees, setBees] = useState<number | undefined>(300)
  const [estimated, setEstimated] = useState(true)
  const [mites, setMites] = useState<number | undefined>()
  const [second, setSecond] = useState<number | undefined>()
  const [days, setDays] = useState<number | undefined>(3)
  const [queenSafe, setQueenSafe] = useState(false)
  const [openBrood, setOpenBrood] = useState(false)
  const board = way === 'NATURAL_FALL'
  const send = () =>
    tell([
      {
        kind: 'MITES_COUNTED',
        hive: hive.id,
        way,
        mites: mites ?? 0,
        estimated: !board && estimated,
        queenSafe: board || queenSafe,
        openBrood: !board && openBrood,
        ...(way === 'WASH' && second !== undefined ? { second } : {}),
        ...(!board && bees !== undefined ? { bees } : {}),
        ...(board && days !== undefined ? { days } : {}),
      },
    ])
  return (
    <SavedForm name={t('mites.keepCount')} onDone={onDone} send={send}>
      <ChoiceField
        name={t('mites.how')}
        value={way}
        choices={WAYS}
        say={(one) => t(`mites.way.${one}`)}
        onChange={setWay}
      />
      {board ? (
        <NumberField name={t('mites.days')} min={1} max={30} value={days} onChange={setDays} />
      ) : (
        <NumberField name={t('mites.bees')} min={1} max={5000} value={bees} onChange={setBees} />
      )}
      <NumberField
        name={t('mites.first')}
        required
        min={0}
        max={5000}
        value={mites}
        onChange={setMites}
      />
      {way === 'WASH' && (
        <NumberField
          name={t('mites.second')}
          min={0}
          max={5000}
          value={second}
          onChange={setSecond}
        />
      )}
      {!board && (
        <>
          <TickField name={t('mites.estimated')} value={estimated} onChange={setEstimated} />
          <TickField name={t('mites.queenSafe')} value={queenSafe} onChange={setQueenSafe} />
          <TickField name={t('mites.openBrood')} value={openBrood} onChange={setOpenBrood} />
        </>
      )}
    </SavedForm>
  )
}
