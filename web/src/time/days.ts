/** Days as ISO text and as numbers: day 0 is 1 January 1970, so that scales and sums need no time zone. */

const MILLISECONDS_A_DAY = 86_400_000

export const dayNumber = (iso: string): number =>
  Date.parse(`${iso}T00:00:00Z`) / MILLISECONDS_A_DAY

export const isoDay = (day: number): string =>
  new Date(day * MILLISECONDS_A_DAY).toISOString().slice(0, 10)

export const addDays = (iso: string, days: number): string => isoDay(dayNumber(iso) + days)

const asDate = (iso: string) => new Date(`${iso}T12:00:00Z`)

const format = (options: Intl.DateTimeFormatOptions) => {
  const formatter = new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', ...options })
  return (iso: string) => formatter.format(asDate(iso))
}

/** "Tuesday, 9 June" */
export const longDay = format({ weekday: 'long', day: 'numeric', month: 'long' })
/** "Tue 9 June" */
export const sayDay = (iso: string) => midDay(iso).replace(',', '')
const midDay = format({ weekday: 'short', day: 'numeric', month: 'long' })
/** "9 June" */
export const shortDay = format({ day: 'numeric', month: 'long' })
export const monthOf = format({ month: 'long' })
export const weekdayLetter = format({ weekday: 'narrow' })

/** "12–14 June", "30 May – 2 June", "9 June" */
export function saySpan(span: { earliest: string; latest: string }): string {
  if (span.earliest === span.latest) return shortDay(span.earliest)
  const sameMonth = span.earliest.slice(0, 7) === span.latest.slice(0, 7)
  return sameMonth
    ? `${Number(span.earliest.slice(8))}–${shortDay(span.latest)}`
    : `${shortDay(span.earliest)} – ${shortDay(span.latest)}`
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
