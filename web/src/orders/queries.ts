import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'

export const ordersQuery = queryOptions({
  queryKey: ['orders'],
  queryFn: () => answered(api.GET('/api/v1/orders')),
})

export const freeQueensQuery = queryOptions({
  queryKey: ['orders', 'free'],
  queryFn: () => answered(api.GET('/api/v1/orders/free-queens')),
})
