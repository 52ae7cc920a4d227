import { keepPreviousData, queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'
import type { SplitAsk } from '../api/types'

/** A plan takes seconds to find: the one before stays until the new one is there. */
export const splitQuery = (ask: SplitAsk) =>
  queryOptions({
    queryKey: ['splits', JSON.stringify(ask)],
    queryFn: () => answered(api.POST('/api/v1/splits/plan', { body: ask })),
    placeholderData: keepPreviousData,
    staleTime: 60_000,
    retry: false,
  })

export const equaliseQuery = (brood: number, bees: number, yard: string) =>
  queryOptions({
    queryKey: ['equalise', brood, bees, yard],
    queryFn: () =>
      answered(
        api.GET('/api/v1/splits/equalise', {
          params: { query: yard ? { brood, bees, yard } : { brood, bees } },
        }),
      ),
    placeholderData: keepPreviousData,
  })

export const lateQuery = (queens: number, yard: string) =>
  queryOptions({
    queryKey: ['late', queens, yard],
    queryFn: () =>
      answered(
        api.GET('/api/v1/splits/late', {
          params: { query: yard ? { queens, yard } : { queens } },
        }),
      ),
    placeholderData: keepPreviousData,
  })
