import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'

/** The mites of one hive, and the days without sealed brood in it. */
export const hiveMitesQuery = (hive: string) =>
  queryOptions({
    queryKey: ['mites', 'hive', hive],
    queryFn: () => answered(api.GET('/api/v1/mites/{hive}', { params: { path: { hive } } })),
  })

export const mitesQuery = (yard: string) =>
  queryOptions({
    queryKey: ['mites', yard],
    queryFn: () => answered(api.GET('/api/v1/mites', { params: { query: yard ? { yard } : {} } })),
  })
