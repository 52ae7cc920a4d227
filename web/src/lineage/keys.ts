/** Where a key leads in the list, if it leads anywhere. */
export function moved(key: string, at: number, rows: number): number | undefined {
  switch (key) {
    case 'ArrowDown':
      return at + 1
    case 'ArrowUp':
      return at - 1
    case 'PageDown':
      return at + 10
    case 'PageUp':
      return at - 10
    case 'Home':
      return 0
    case 'End':
      return rows - 1
    default:
      return undefined
  }
}
