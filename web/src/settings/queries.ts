import { queryOptions, useQuery } from '@tanstack/react-query'
import { answered, api } from '../api/client'

export const settingsQuery = queryOptions({
  queryKey: ['settings'],
  queryFn: () => answered(api.GET('/api/v1/settings')),
  staleTime: 300_000,
  // while queens are reckoned with new figures, the page tells how far that is
  refetchInterval: (query) => (query.state.data?.reckoning ? 1_000 : false),
})

/** Air temperature as this operation reads it. */
export function useDegrees(): (celsius: number) => string {
  const units = useQuery(settingsQuery).data?.settings.units ?? 'METRIC'
  return (celsius) => degrees(celsius, units)
}

export const degrees = (celsius: number, units: 'METRIC' | 'US'): string =>
  units === 'US' ? `${Math.round((celsius * 9) / 5 + 32)} °F` : `${Math.round(celsius)} °C`
