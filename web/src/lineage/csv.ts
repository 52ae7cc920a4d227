import type { ListedQueen } from '../api/types'

const COLUMNS = [
  'code',
  'name',
  'line',
  'born',
  'mark',
  'stageText',
  'hive',
  'yard',
  'mother',
  'merit',
  'reliability',
] as const

/** A cell as RFC 4180 wants it; what a spreadsheet would run as a formula is told to be text. */
export function cell(value: string | number | undefined): string {
  const text = String(value ?? '')
  const safe = /^[=+\-@\t\r]/.test(text) ? `'${text}` : text
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe
}

export const csvOf = (queens: ListedQueen[]): string =>
  [COLUMNS.join(','), ...queens.map((one) => COLUMNS.map((key) => cell(one[key])).join(','))].join(
    '\r\n',
  ) + '\r\n'

/** What is seen of the list, as a file. */
export function saveCsv(queens: ListedQueen[]) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([csvOf(queens)], { type: 'text/csv;charset=utf-8' }))
  link.download = 'vivid-crown-queens.csv'
  link.click()
  URL.revokeObjectURL(link.href)
}
