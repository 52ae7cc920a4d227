/** At the desk every place stands in the list; in the yard those that are planned at the desk leave room. */
export const PLACES: readonly { to: string; key: string; short: string; desk?: true }[] = [
  { to: '/', key: 'round', short: 'r' },
  { to: '/season', key: 'season', short: 's', desk: true },
  { to: '/orders', key: 'orders', short: 'o', desk: true },
  { to: '/builders', key: 'builders', short: 'b', desk: true },
  { to: '/grafts', key: 'grafts', short: 'g' },
  { to: '/yards', key: 'yards', short: 'y' },
  { to: '/colonies', key: 'colonies', short: 'c' },
  { to: '/splits', key: 'splits', short: 'p', desk: true },
  { to: '/introductions', key: 'introductions', short: 'i', desk: true },
  { to: '/mites', key: 'mites', short: 'm', desk: true },
  { to: '/queens', key: 'queens', short: 'q' },
  { to: '/trainer', key: 'trainer', short: 't', desk: true },
  { to: '/files', key: 'files', short: 'f' },
]
