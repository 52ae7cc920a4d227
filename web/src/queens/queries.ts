import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'

export const queenQuery = (id: string) =>
  queryOptions({
    queryKey: ['queens', id],
    queryFn: () => answered(api.GET('/api/v1/queens/{id}', { params: { path: { id } } })),
  })

export const journalQuery = (subject: string) =>
  queryOptions({
    queryKey: ['journal', subject],
    queryFn: () => answered(api.GET('/api/v1/journal', { params: { query: { subject } } })),
  })

export const searchQuery = (search: string) =>
  queryOptions({
    queryKey: ['queens', 'search', search],
    queryFn: () => answered(api.GET('/api/v1/queens', { params: { query: { search } } })),
    enabled: search !== '',
  })

export const breedersQuery = queryOptions({
  queryKey: ['queens', 'breeders'],
  queryFn: () => answered(api.GET('/api/v1/queens/breeders')),
})
