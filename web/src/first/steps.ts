import { useQuery } from '@tanstack/react-query'
import { hivesQuery } from '../colonies/queries'
import { breedersQuery } from '../queens/queries'
import { buildersQuery, useGrafts } from '../rearing/queries'
import { yardsQuery } from '../yards/queries'

export const STEPS = ['yard', 'hives', 'mother', 'builder', 'graft'] as const
export type StepName = (typeof STEPS)[number]

/** Which steps of the first day are done; undefined while that is not known. */
export function useFirstSteps(): Record<StepName, boolean> | undefined {
  const yards = useQuery(yardsQuery).data
  const hives = useQuery(hivesQuery).data
  const mothers = useQuery(breedersQuery).data
  const builders = useQuery(buildersQuery).data
  const grafts = useGrafts().data
  if (!yards || !hives || !mothers || !builders || !grafts) return undefined
  return {
    yard: yards.length > 0,
    hives: hives.some((one) => one.purpose !== 'BUILDER'),
    mother: mothers.length > 0,
    builder: builders.length > 0,
    graft: grafts.length > 0,
  }
}

/** The step to take next; none when all are done. */
export const nextStep = (done: Record<StepName, boolean>): StepName | undefined =>
  STEPS.find((step) => !done[step])
