/** Languages, and regions, that days can be written for; the words of the program stay English. */
export const DATES: readonly string[] = [
  'en-GB',
  'en-US',
  'de',
  'fr',
  'it',
  'es',
  'nl',
  'pl',
  'pt',
  'sl',
  'sv',
]
export const USUAL_DATES = 'en-GB'

const SOME_DAY = new Date('2026-06-09T12:00:00Z')

/** The language by its own name, and how it writes a day. */
export function sayLanguage(tag: string): string {
  const name = new Intl.DisplayNames([tag], { type: 'language' }).of(tag)
  const day = new Intl.DateTimeFormat(tag, { day: 'numeric', month: 'long', timeZone: 'UTC' })
  return `${name}: ${day.format(SOME_DAY)}`
}
