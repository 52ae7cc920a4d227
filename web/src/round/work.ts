import type { Stop } from '../api/types'

/** One kind of work at boxes of one yard, in walking order. */
export type Work = { job: Stop['job']; text: string; stops: Stop[] }

/** A yard is walked one kind of work at a time; what stands first in the walk begins. */
export function workOf(stops: Stop[]): Work[] {
  const kinds = new Map<string, Work>()
  for (const stop of stops) {
    const key = `${stop.job} ${stop.text}`
    const work = kinds.get(key) ?? { job: stop.job, text: stop.text, stops: [] }
    work.stops.push(stop)
    kinds.set(key, work)
  }
  return [...kinds.values()]
}

/** "W 27 – W 38" for many, each by its code for a few. */
export function rowName(stops: Stop[]): string {
  const codes = stops.map((stop) => stop.code)
  return codes.length > 3 ? `${codes[0]} – ${codes.at(-1)}` : codes.join(', ')
}

/** How many letters all codes begin with, up to a blank: a row need not say them at every box. */
export function sharedStart(stops: Stop[]): number {
  const [first, ...others] = stops.map((stop) => stop.code)
  const length = (first?.lastIndexOf(' ') ?? -1) + 1
  const start = first?.slice(0, length) ?? ''
  return others.every((code) => code.startsWith(start)) ? length : 0
}

/** A box stays unfolded while its work goes on under another name. */
export const boxOf = (stop: Stop): string => `${stop.job} ${stop.subject}`
