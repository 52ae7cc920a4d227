import type { Introduction, IntroductionNext } from '../api/types'

export type Row = { one: Introduction; next: IntroductionNext }
export type Group = 'late' | 'today' | 'later'

/** What is due at each cage, by day: what should have been, what is today, what comes; what does not wait stands first. */
export function byDay(
  all: readonly Introduction[],
  today: string,
): { group: Group; rows: Row[] }[] {
  const rows = all.flatMap((one) => one.next.map((next) => ({ one, next })))
  const groupOf = ({ next }: Row): Group =>
    next.when.latest < today ? 'late' : next.when.earliest <= today ? 'today' : 'later'
  const order = (a: Row, b: Row) =>
    Number(b.next.urgent) - Number(a.next.urgent) ||
    a.next.when.earliest.localeCompare(b.next.when.earliest) ||
    a.one.hiveCode.localeCompare(b.one.hiveCode)
  return (['late', 'today', 'later'] as const)
    .map((group) => ({ group, rows: rows.filter((row) => groupOf(row) === group).sort(order) }))
    .filter(({ rows: some }) => some.length > 0)
}
