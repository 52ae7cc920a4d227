import { queryOptions, useQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import { answered, api } from '../api/client'
import { writeDaysFor } from '../time/days'
import { USUAL_DATES } from './dates'

export const settingsQuery = queryOptions({
  queryKey: ['settings'],
  queryFn: () => answered(api.GET('/api/v1/settings')),
  staleTime: 300_000,
  // while queens are reckoned with new figures, the page tells how far that is
  refetchInterval: (query) => (query.state.data?.reckoning ? 1_000 : false),
})

/** Days are written as the operation reads them. */
export function useDays(): void {
  const { data } = useQuery(settingsQuery)
  useEffect(() => {
    if (data) writeDaysFor(data.settings.dates ?? USUAL_DATES)
  }, [data])
}
