/** Days as ISO text and as numbers: day 0 is 1 January 1970, so that scales and sums need no time zone. */

const MILLISECONDS_A_DAY = 86_400_000

export const dayNumber = (iso: string): number =>
  Date.parse(`${iso}T00:00:00Z`) / MILLISECONDS_A_DAY

export const isoDay = (day: number): string =>
  new Date(day * MILLISECONDS_A_DAY).toISOString().slice(0, 10)

export const addDays = (iso: string, days: number): string => isoDay(dayNumber(iso) + days)

const asDate = (iso: string) => new Date(`${iso}T12:00:00Z`)

/** Kept beside the page: days are written in a hundred places, and a change of settings begins the page anew. */
const LANGUAGE = 'days-written-for'
const language = globalThis.localStorage?.getItem(LANGUAGE) ?? 'en-GB'

/** Writes days for another language from now on; the page begins anew if that is a change. */
export function writeDaysFor(wanted: string): void {
  if (wanted === language) return
  localStorage.setItem(LANGUAGE, wanted)
  location.reload()
}

const formatter = (options: Intl.DateTimeFormatOptions) =>
  new Intl.DateTimeFormat(language, { timeZone: 'UTC', ...options })

const format = (options: Intl.DateTimeFormatOptions) => {
  const written = formatter(options)
  return (iso: string) => written.format(asDate(iso))
}

/** "Tuesday, 9 June" */
export const longDay = format({ weekday: 'long', day: 'numeric', month: 'long' })
/** "Tue 9 June" */
export const sayDay = (iso: string) => midDay(iso).replace(',', '')
const midDay = format({ weekday: 'short', day: 'numeric', month: 'long' })
const span = formatter({ day: 'numeric', month: 'long' })
/** "9 June" */
export const shortDay = (iso: string) => span.format(asDate(iso))
export const monthOf = format({ month: 'long' })
export const weekdayLetter = format({ weekday: 'narrow' })

/** "12–14 June", "30 May – 2 June", "9 June" */
export function saySpan({ earliest, latest }: { earliest: string; latest: string }): string {
  if (earliest === latest) return shortDay(earliest)
  const sameMonth = earliest.slice(0, 7) === latest.slice(0, 7)
  // the thin spaces that the library puts around the dash look torn in this face
  return span
    .formatRange(asDate(earliest), asDate(latest))
    .replace(/\s*–\s*/, sameMonth ? '–' : ' – ')
}

/** A day and hour by the clock of a zone, as ISO text with that zone's offset on that day. */
export function zoned(day: string, time: string, zone: string): string {
  const name = new Intl.DateTimeFormat('en-GB', { timeZone: zone, timeZoneName: 'longOffset' })
    .formatToParts(new Date(`${day}T${time}Z`))
    .find((part) => part.type === 'timeZoneName')?.value
  const offset = name?.replace('GMT', '') || '+00:00'
  return `${day}T${time}${offset}`
}

/** The hour by the clock of a zone now, "14:05:33". */
export const clockIn = (zone: string, now: Date = new Date()): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, timeStyle: 'medium' }).format(now)

/** A moment by the clock of a zone, "Tue 9 June, 14:05". */
export const sayMoment = (instant: string, zone: string): string => {
  const at = new Date(instant)
  const day = new Intl.DateTimeFormat('en-CA', { timeZone: zone }).format(at)
  return `${sayDay(day)}, ${clockIn(zone, at).slice(0, 5)}`
}
