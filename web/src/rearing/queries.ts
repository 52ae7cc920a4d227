import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'
import { usePages } from '../api/pages'

export const useGrafts = () =>
  usePages(['grafts'], (page) =>
    answered(api.GET('/api/v1/grafts', { params: { query: { page } } })),
  )

export const graftQuery = (id: string) =>
  queryOptions({
    queryKey: ['grafts', id],
    queryFn: () => answered(api.GET('/api/v1/grafts/{id}', { params: { path: { id } } })),
  })

export const ratesQuery = queryOptions({
  queryKey: ['grafts', 'rates'],
  queryFn: () => answered(api.GET('/api/v1/grafts/rates')),
})

export const buildersQuery = queryOptions({
  queryKey: ['builders'],
  queryFn: () => answered(api.GET('/api/v1/builders')),
})

export const freeHivesQuery = queryOptions({
  queryKey: ['hives', 'free'],
  queryFn: () => answered(api.GET('/api/v1/hives/free')),
})
