import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'

export const roundQuery = queryOptions({
  queryKey: ['round'],
  queryFn: () => answered(api.GET('/api/v1/round')),
})
