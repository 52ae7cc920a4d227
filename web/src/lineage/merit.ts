import type { TFunction } from 'i18next'

/** Never a number without how sure it is. */
export function sayMerit(t: TFunction, merit?: number, reliability?: number): string {
  if (merit === undefined || reliability === undefined || reliability === 0)
    return t('lines.noMerit')
  return t('lines.merit', {
    merit: `${merit > 0 ? '+' : ''}${merit.toFixed(2)}`,
    sure: Math.round(reliability * 100),
  })
}
