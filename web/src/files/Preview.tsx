import { useTranslation } from 'react-i18next'
import type { Looked } from './doors'

/** Rows shown before they are imported; the bad ones come first. */
const MOST_SHOWN = 200

/** What stands in a file, and what is wrong with it row by row. Columns that no row fills are left out. */
export function Preview({ preview, columns }: { preview: Looked; columns: string[] }) {
  const { t } = useTranslation()
  const badFirst = [...preview.rows].sort(
    (one, other) => Number(other.problems.length > 0) - Number(one.problems.length > 0),
  )
  const filled = columns.filter((column) =>
    preview.rows.some((row) => row[column] !== undefined && row[column] !== ''),
  )
  const shown = preview.rows.length > MOST_SHOWN ? badFirst.slice(0, MOST_SHOWN) : preview.rows
  return (
    <div
      className="mt-4 overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label={t('files.preview')}
    >
      <p className="mb-2 font-read text-lg">
        {t('files.counts', { good: preview.good, bad: preview.bad })}
      </p>
      <table className="w-full min-w-[40rem] text-left">
        <thead className="text-sm text-ink-2">
          <tr className="border-b-2 border-ink">
            {['line', ...filled, 'problem'].map((column) => (
              <th key={column} className="py-1 pr-3 font-normal">
                {t(`files.column.${column}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <tr
              key={row.line}
              className="border-b border-rule align-top"
              data-bad={row.problems.length > 0}
            >
              <td className="py-1 pr-3">{row.line}</td>
              {filled.map((column) => (
                <td key={column} className="pr-3">
                  {String(row[column] ?? '')}
                </td>
              ))}
              <td className="font-semibold text-crown">{row.problems.join(' ') || ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length < preview.rows.length && (
        <p className="mt-2 text-ink-2">
          {t('files.notShown', { count: preview.rows.length - shown.length })}
        </p>
      )}
    </div>
  )
}
