import { queryOptions, useInfiniteQuery } from '@tanstack/react-query'
import { answered, api } from '../api/client'
import type { paths } from '../api/schema'

type Asked = NonNullable<paths['/api/v1/queens/list']['get']['parameters']['query']>

/** The list of queens, so far as it has come; each part knows how many there are in all. */
export const useQueenList = (asked: Asked) =>
  useInfiniteQuery({
    queryKey: ['queens', 'list', asked],
    queryFn: ({ pageParam }) =>
      answered(
        api.GET('/api/v1/queens/list', { params: { query: { ...asked, from: pageParam } } }),
      ),
    initialPageParam: 0,
    getNextPageParam: (last) => {
      const next = last.from + last.queens.length
      return next < last.all ? next : undefined
    },
  })

export const choicesQuery = queryOptions({
  queryKey: ['queens', 'choices'],
  queryFn: () => answered(api.GET('/api/v1/queens/choices')),
})

export const pedigreeQuery = (id: string) =>
  queryOptions({
    queryKey: ['queens', id, 'pedigree'],
    queryFn: () => answered(api.GET('/api/v1/queens/{id}/pedigree', { params: { path: { id } } })),
  })

export const unmarkedQuery = (id: string) =>
  queryOptions({
    queryKey: ['queens', id, 'unmarked'],
    queryFn: () => answered(api.GET('/api/v1/queens/{id}/unmarked', { params: { path: { id } } })),
  })

export const linesQuery = queryOptions({
  queryKey: ['queens', 'lines'],
  queryFn: () => answered(api.GET('/api/v1/lines')),
})

export const breedersForQuery = (asked: {
  daughters: number
  kinship: number
  lines: number
  mostOfOne: number
  droneMothers: number
}) =>
  queryOptions({
    queryKey: ['queens', 'breeders-for', asked],
    queryFn: () => answered(api.GET('/api/v1/lines/breeders', { params: { query: asked } })),
  })

type Planned = paths['/api/v1/lines/mating']['get']['parameters']['query']

export const plannedMatingQuery = (asked: Planned) =>
  queryOptions({
    queryKey: ['queens', 'mating', asked],
    queryFn: () => answered(api.GET('/api/v1/lines/mating', { params: { query: asked } })),
  })

export const requeeningQuery = (asked: {
  yard?: string
  policy?: 'EVERY_YEAR' | 'AT_TWO_YEARS' | 'BY_MERIT'
}) =>
  queryOptions({
    queryKey: ['queens', 'requeening', asked],
    queryFn: () => answered(api.GET('/api/v1/requeening', { params: { query: asked } })),
  })
