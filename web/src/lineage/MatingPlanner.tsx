import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { breedersQuery } from '../queens/queries'
import { ChoiceField, NumberField } from '../ui/Fields'
import { Answer } from '../ui/Page'
import { MatingTold } from './MatingTold'
import { plannedMatingQuery } from './queries'

const HOW = ['STATION', 'ONE_DRONE', 'OPEN'] as const

/** A mother whose daughters are to mate, and whose drones: what it would give. */
export function MatingPlanner({
  search,
  set,
}: {
  search: URLSearchParams
  set: (part: Record<string, string>) => void
}) {
  const { t } = useTranslation()
  const breeders = useQuery(breedersQuery).data ?? []
  const mother = search.get('mother') ?? breeders[0]?.id ?? ''
  const drones = search.get('drones') ?? breeders[1]?.id ?? breeders[0]?.id ?? ''
  const how = HOW.find((one) => one === search.get('how')) ?? 'STATION'
  const sisters = Number(search.get('sisters') ?? 8)
  const name = (id: string) => {
    const found = breeders.find((one) => one.id === id)
    return found ? found.name || found.code : '–'
  }
  const query = useQuery({
    ...plannedMatingQuery({
      mother,
      how,
      sisters,
      ...(how === 'OPEN' ? {} : { droneMother: drones }),
    }),
    enabled: mother !== '' && (how === 'OPEN' || drones !== ''),
  })
  if (breeders.length === 0) return <p>{t('mating.nobody')}</p>
  return (
    <>
      <div className="mb-4 grid max-w-3xl grid-cols-2 items-end gap-3 md:grid-cols-4">
        <ChoiceField
          name={t('mating.daughtersOf')}
          value={mother}
          choices={breeders.map((one) => one.id)}
          say={name}
          onChange={(one) => set({ mother: one })}
        />
        <ChoiceField
          name={t('mating.how')}
          value={how}
          choices={HOW}
          say={(one) => t(`mating.way.${one}`)}
          onChange={(one) => set({ how: one })}
        />
        {how !== 'OPEN' && (
          <ChoiceField
            name={t(how === 'STATION' ? 'mating.sistersOf' : 'mating.droneOf')}
            value={drones}
            choices={breeders.map((one) => one.id)}
            say={name}
            onChange={(one) => set({ drones: one })}
          />
        )}
        {how === 'STATION' && (
          <NumberField
            name={t('mating.sisters')}
            min={1}
            max={500}
            value={sisters}
            onChange={(next) => set({ sisters: next === undefined ? '' : String(next) })}
          />
        )}
      </div>
      <Answer query={query}>{(page) => <MatingTold mating={page.mating} />}</Answer>
    </>
  )
}
