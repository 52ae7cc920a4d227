import { useQuery } from '@tanstack/react-query'
import type { FreeHive, HiveLine } from '../api/types'
import type { Parcel } from '../outbox/outbox'
import { useParcels } from '../outbox/useRecord'
import { freeHivesQuery } from '../rearing/queries'
import { yardsQuery } from '../yards/queries'
import { hivesQuery } from './queries'

/** Hives that were set up on this device and are not sent yet. */
export function pendingHives(parcels: Parcel[], yardName: (id: string) => string): HiveLine[] {
  return parcels
    .filter((parcel) => !parcel.refusal)
    .flatMap((parcel) => parcel.entries)
    .flatMap(({ deed }) =>
      deed.kind === 'HIVE_SET_UP'
        ? [
            {
              id: deed.hive,
              code: deed.code,
              yardId: deed.yard,
              yard: yardName(deed.yard),
              position: deed.position,
              purpose: deed.purpose,
            },
          ]
        : [],
    )
}

const FOR_MATING: ReadonlySet<HiveLine['purpose']> = new Set(['MATING_NUC', 'MINI_NUC'])

/** Hives for mating that hold nobody: those that were filled without a signal do so no longer, new ones do. */
export function freeAfter(free: FreeHive[], hives: HiveLine[], parcels: Parcel[]): FreeHive[] {
  const entries = parcels.filter((one) => !one.refusal).flatMap((one) => one.entries)
  const filled = new Set(
    entries.flatMap(({ deed }) => (deed.kind === 'QUEEN_PLACED' ? [deed.hive] : [])),
  )
  const fresh = hives.filter((hive) => FOR_MATING.has(hive.purpose))
  return [...free, ...fresh].filter((hive) => !filled.has(hive.id))
}

export function useFreeHives(): FreeHive[] {
  const free = useQuery(freeHivesQuery).data ?? []
  const yards = useQuery(yardsQuery).data ?? []
  const parcels = useParcels()
  const pending = pendingHives(
    parcels,
    (id) => yards.find((one) => one.id === id)?.name ?? '',
  ).filter((one) => !free.some((hive) => hive.id === one.id))
  return freeAfter(free, pending, parcels)
}

/** Every hive, with those that were set up without a signal. */
export function useHives(): HiveLine[] {
  const hives = useQuery(hivesQuery).data ?? []
  const yards = useQuery(yardsQuery).data ?? []
  const pending = pendingHives(
    useParcels(),
    (id) => yards.find((one) => one.id === id)?.name ?? '',
  ).filter((one) => !hives.some((hive) => hive.id === one.id))
  return [...hives, ...pending]
}
