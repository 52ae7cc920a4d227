import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'

export const yardsQuery = queryOptions({
  queryKey: ['yards'],
  queryFn: () => answered(api.GET('/api/v1/yards')),
})

export const yardQuery = (id: string) =>
  queryOptions({
    queryKey: ['yards', id],
    queryFn: () => answered(api.GET('/api/v1/yards/{id}', { params: { path: { id } } })),
  })
