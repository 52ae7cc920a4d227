import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister'
import type { PersistQueryClientOptions } from '@tanstack/react-query-persist-client'
import Dexie, { type EntityTable } from 'dexie'

type Kept = { key: string; value: string }

const database = new Dexie('vivid-crown-kept') as Dexie & { kept: EntityTable<Kept, 'key'> }
database.version(1).stores({ kept: 'key' })

/** The last answers of the server, on the device: shown in a yard without signal, asked for anew when there is one. */
const persister = createAsyncStoragePersister({
  key: 'answers',
  throttleTime: 2_000,
  storage: {
    getItem: async (key) => (await database.kept.get(key))?.value ?? null,
    setItem: async (key, value) => {
      await database.kept.put({ key, value })
    },
    removeItem: (key) => database.kept.delete(key),
  },
})

const A_WEEK = 7 * 24 * 3600_000

export const keeping: Omit<PersistQueryClientOptions, 'queryClient'> = {
  persister,
  maxAge: A_WEEK,
  // A new version of the screens may read answers differently.
  buster: import.meta.env.VITE_BUILD ?? 'dev',
}

/** Nothing of the person before stays on the device. */
export const forget = (): Promise<void> => Promise.resolve(persister.removeClient())
