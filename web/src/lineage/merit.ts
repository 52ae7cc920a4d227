import type { TFunction } from 'i18next'
import type { Settings } from '../api/types'

type Scale = NonNullable<Settings['scale']>

/** 1 to 4 by halves. */
export const USUAL_SCALE: Scale = { least: 1, most: 4, step: 0.5 }

/** Every mark that can be given. */
export function marksOf({ least, most, step }: Scale): number[] {
  const many = Math.round((most - least) / step)
  return Array.from({ length: many + 1 }, (_, at) => Math.round((least + at * step) * 100) / 100)
}

/** A mark as the table keeps it, 1 to 4, on the scale in force. */
export const onScale = (usual: number, { least, most }: Scale): number =>
  Math.round((least + ((usual - USUAL_SCALE.least) * (most - least)) / 3) * 10) / 10

/** Never a number without how sure it is. */
export function sayMerit(t: TFunction, merit?: number, reliability?: number): string {
  if (merit === undefined || reliability === undefined || reliability === 0)
    return t('lines.noMerit')
  return t('lines.merit', {
    merit: `${merit > 0 ? '+' : ''}${merit.toFixed(2)}`,
    sure: Math.round(reliability * 100),
  })
}
