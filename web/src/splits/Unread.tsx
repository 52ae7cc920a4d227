import type { UnitLine } from '../api/types'

/** Hives that cannot be reckoned with, said once for all of one reason. */
export function Unread({ lines }: { lines: UnitLine[] }) {
  const why = [...new Set(lines.flatMap((line) => line.unread ?? []))]
  return why.map((reason) => (
    <p key={reason} className="mt-2 text-sm text-ink-2">
      <strong>
        {lines
          .filter((line) => line.unread === reason)
          .map((line) => line.code)
          .join(', ')}
      </strong>{' '}
      {reason}
    </p>
  ))
}
