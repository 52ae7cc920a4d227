import { describe, expect, it } from 'vitest'
import { DATES, sayLanguage } from './dates'

// Expected texts: the Unicode CLDR's patterns for day and month of these languages.
describe('the language of dates', () => {
  it('is called by its own name, with a day as it writes one', () => {
    expect(sayLanguage('de')).toBe('Deutsch: 9. Juni')
    expect(sayLanguage('fr')).toBe('français: 9 juin')
    expect(sayLanguage('en-US')).toMatch(/: June 9$/)
    expect(sayLanguage('en-GB')).toMatch(/: 9 June$/)
  })

  it('is none twice', () => {
    expect(new Set(DATES).size).toBe(DATES.length)
  })
})
