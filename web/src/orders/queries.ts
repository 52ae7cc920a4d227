import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'
import { usePages } from '../api/pages'

export const useOrders = () =>
  usePages(['orders'], (page) =>
    answered(api.GET('/api/v1/orders', { params: { query: { page } } })),
  )

export const freeQueensQuery = queryOptions({
  queryKey: ['orders', 'free'],
  queryFn: () => answered(api.GET('/api/v1/orders/free-queens')),
})
