/** Adds to a selection everything between two places of a row, both included; the order of the two does not matter. */
export function withRange(
  selected: ReadonlySet<string>,
  row: string[],
  from: string,
  to: string,
): Set<string> {
  const [first, last] = [row.indexOf(from), row.indexOf(to)].sort((a, b) => a - b) as [
    number,
    number,
  ]
  return new Set([...selected, ...(first < 0 ? [to] : row.slice(first, last + 1))])
}

export function toggled(selected: ReadonlySet<string>, id: string): Set<string> {
  const next = new Set(selected)
  if (!next.delete(id)) next.add(id)
  return next
}

/** Pairs what is to be placed with the free places from a chosen one on; stops where either runs out. */
export function pairUp<A, B extends { id: string }>(
  things: A[],
  places: B[],
  fromId: string,
): [A, B][] {
  const start = Math.max(
    0,
    places.findIndex((place) => place.id === fromId),
  )
  return things
    .slice(0, places.length - start)
    .map((thing, index) => [thing, places[start + index] as B])
}
