/** Codes of a row of hives: "W 01" to "W 12"; as many digits as the last one needs, two at least. */
export function codesInRow(prefix: string, from: number, count: number): string[] {
  const digits = Math.max(2, String(from + count - 1).length)
  const before = prefix.trim() === '' ? '' : `${prefix.trim()} `
  return Array.from(
    { length: count },
    (_, index) => before + String(from + index).padStart(digits, '0'),
  )
}

/** Where the next row of codes begins: after the highest number that stands with this prefix. */
export function nextNumber(prefix: string, codes: string[]): number {
  const before = prefix.trim() === '' ? '' : `${prefix.trim()} `
  const numbers = codes
    .filter((code) => code.startsWith(before))
    .map((code) => Number(code.slice(before.length)))
    .filter((number) => Number.isInteger(number))
  return Math.max(0, ...numbers) + 1
}
