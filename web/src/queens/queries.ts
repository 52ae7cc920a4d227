import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'
import { usePages } from '../api/pages'

export const queenQuery = (id: string) =>
  queryOptions({
    queryKey: ['queens', id],
    queryFn: () => answered(api.GET('/api/v1/queens/{id}', { params: { path: { id } } })),
  })

export const useQueensCalled = (search: string) =>
  usePages(
    ['queens', 'search', search],
    (page) =>
      answered(
        api.GET('/api/v1/queens', {
          params: { query: { search, page: page ? Number(page) : undefined } },
        }),
      ),
    search !== '',
  )

export const breedersQuery = queryOptions({
  queryKey: ['queens', 'breeders'],
  queryFn: () => answered(api.GET('/api/v1/queens/breeders')),
})
