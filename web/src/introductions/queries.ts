import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'

export const introductionsQuery = queryOptions({
  queryKey: ['introductions'],
  queryFn: () => answered(api.GET('/api/v1/introductions')),
})

export const introductionQuery = (id: string) =>
  queryOptions({
    queryKey: ['introduction', id],
    queryFn: () => answered(api.GET('/api/v1/introductions/{id}', { params: { path: { id } } })),
  })

export type GiveAsk = {
  hive: string
  queen?: string
  kind: 'MATED' | 'VIRGIN' | 'CELL'
  code: string
  withNuc: boolean
  sprayed: boolean
  worth: number
  cost: number
}

export const giveQuery = (ask: GiveAsk) =>
  queryOptions({
    queryKey: ['give', ask],
    queryFn: () => answered(api.GET('/api/v1/introductions/plan', { params: { query: ask } })),
    enabled: ask.hive !== '',
    retry: false,
  })

export const atHandQuery = queryOptions({
  queryKey: ['at-hand'],
  queryFn: () => answered(api.GET('/api/v1/introductions/at-hand')),
})

export const bankQuery = queryOptions({
  queryKey: ['bank'],
  queryFn: () => answered(api.GET('/api/v1/bank')),
})
