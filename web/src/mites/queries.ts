import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'

export const mitesQuery = (yard: string) =>
  queryOptions({
    queryKey: ['mites', yard],
    queryFn: () => answered(api.GET('/api/v1/mites', { params: { query: yard ? { yard } : {} } })),
  })
