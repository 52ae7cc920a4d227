import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'
import type { Batch } from '../api/types'

export const seasonQuery = queryOptions({
  queryKey: ['season'],
  queryFn: () => answered(api.GET('/api/v1/season')),
})

export const weekQuery = queryOptions({
  queryKey: ['season', 'week'],
  queryFn: () => answered(api.GET('/api/v1/season/week')),
})

/** Seconds of reckoning: asked for only where it is looked at. */
export const planningOddsQuery = queryOptions({
  queryKey: ['season', 'week', 'odds'],
  queryFn: () => answered(api.GET('/api/v1/season/week/odds')),
  staleTime: 600_000,
})

/** Seconds of reckoning: the season planned with an order and without it. */
export const withoutQuery = (demand: string) =>
  queryOptions({
    queryKey: ['season', 'without', demand],
    queryFn: () =>
      answered(api.GET('/api/v1/season/without/{demand}', { params: { path: { demand } } })),
    staleTime: 600_000,
    retry: false,
  })

/** How far a search is; asked again twice a second while it runs. */
export const progressQuery = (id: string) =>
  queryOptions({
    queryKey: ['season', 'search', id],
    queryFn: () => answered(api.GET('/api/v1/season/searches/{id}', { params: { path: { id } } })),
    refetchInterval: (query) =>
      ['WAITING', 'RUNNING'].includes(query.state.data?.state ?? '') ? 500 : false,
    retry: false,
  })

/** What the plan comes to with these grafts instead. */
export const checkQuery = (batches: Batch[]) =>
  queryOptions({
    queryKey: ['season', 'check', JSON.stringify(batches)],
    queryFn: () => answered(api.POST('/api/v1/season/check', { body: batches })),
    gcTime: 60_000,
    retry: false,
  })
