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

export const makingsQuery = queryOptions({
  queryKey: ['makings'],
  queryFn: () => answered(api.GET('/api/v1/splits/making')),
})

export const makingQuery = (id: string) =>
  queryOptions({
    queryKey: ['making', id],
    queryFn: () => answered(api.GET('/api/v1/splits/making/{id}', { params: { path: { id } } })),
  })

export const boostQuery = (unit: string, rain: boolean) =>
  queryOptions({
    queryKey: ['boost', unit, rain],
    queryFn: () => answered(api.GET('/api/v1/splits/boost', { params: { query: { unit, rain } } })),
    enabled: unit !== '',
    retry: false,
  })

export type UniteAsk = {
  one: string
  other: string
  metres?: number
  found: boolean
  melt: boolean
  rain: boolean
}

export const uniteQuery = (ask: UniteAsk) =>
  queryOptions({
    queryKey: ['unite', ask],
    queryFn: () => answered(api.GET('/api/v1/splits/unite', { params: { query: ask } })),
    enabled: ask.one !== '' && ask.other !== '',
    retry: false,
  })

export const storeQuery = queryOptions({
  queryKey: ['store'],
  queryFn: () => answered(api.GET('/api/v1/store')),
})

export const stockQuery = queryOptions({
  queryKey: ['stock'],
  queryFn: () => answered(api.GET('/api/v1/stock')),
})

export const recipesQuery = queryOptions({
  queryKey: ['recipes'],
  queryFn: () => answered(api.GET('/api/v1/splits/recipes')),
})

export const forecastQuery = (hive: string) =>
  queryOptions({
    queryKey: ['forecast', hive],
    queryFn: () =>
      answered(api.GET('/api/v1/splits/forecast/{hive}', { params: { path: { hive } } })),
  })

export const reserveQuery = queryOptions({
  queryKey: ['reserve'],
  queryFn: () => answered(api.GET('/api/v1/splits/reserve')),
})
