import { keepPreviousData, queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'
import type { ReadingNotes, SwarmPlan } from '../api/types'

export const coloniesQuery = queryOptions({
  queryKey: ['colonies'],
  queryFn: () => answered(api.GET('/api/v1/colonies')),
})

export const colonyQuery = (id: string, school?: SwarmPlan['school']) =>
  queryOptions({
    queryKey: ['colonies', id, school ?? 'own'],
    queryFn: () =>
      answered(
        api.GET('/api/v1/colonies/{id}', {
          params: { path: { id }, query: school ? { school } : {} },
        }),
      ),
  })

/** The verdict with the reading that is being tapped; the one before stays until the new one is there. */
export const previewQuery = (id: string, reading: ReadingNotes) =>
  queryOptions({
    queryKey: ['preview', id, JSON.stringify(reading)],
    queryFn: () =>
      answered(
        api.POST('/api/v1/colonies/{id}/preview', { params: { path: { id } }, body: reading }),
      ),
    placeholderData: keepPreviousData,
    gcTime: 60_000,
    retry: false,
  })

export const hivesQuery = queryOptions({
  queryKey: ['hives'],
  queryFn: () => answered(api.GET('/api/v1/hives')),
})

export const stackQuery = (id: string) =>
  queryOptions({
    queryKey: ['hives', id, 'stack'],
    queryFn: () => answered(api.GET('/api/v1/hives/{id}/stack', { params: { path: { id } } })),
    enabled: id !== '',
  })

export const frameQuery = (id: string) =>
  queryOptions({
    queryKey: ['frames', id],
    queryFn: () => answered(api.GET('/api/v1/frames/{id}', { params: { path: { id } } })),
  })
