import { useQuery } from '@tanstack/react-query'
import { settingsQuery } from '../settings/queries'
import { say, saySpan, type System } from './units'

export const useSystem = (): System => useQuery(settingsQuery).data?.settings.units ?? 'METRIC'

/** Says metric values in the units of the operation. */
export function useSay() {
  const system = useSystem()
  return {
    temperature: (celsius: number) => say('temperature', Math.round(celsius), system),
    weight: (kilograms: number) => say('weight', kilograms, system),
    weights: (least: number, most: number) => saySpan('weight', least, most, system),
    volume: (litres: number) => say('volume', litres, system),
    height: (metres: number) => say('height', metres, system),
    distance: (metres: number) => say('distance', metres, system),
  }
}
