import { useTranslation } from 'react-i18next'
import type { SettingsPage } from '../api/types'
import type { FigureLine } from './figures'

const PARTS = ['earliest', 'likely', 'latest'] as const

/** Day-counts that take the place of the trade's. */
export function Figures({
  page,
  lines,
  setLines,
}: {
  page: SettingsPage
  lines: FigureLine[]
  setLines: (next: FigureLine[]) => void
}) {
  const { t } = useTranslation()
  const write = (row: number, part: number, value: string) =>
    setLines(
      lines.map((line, at) =>
        at === row
          ? {
              ...line,
              days: line.days.map((day, index) =>
                index === part ? value : day,
              ) as typeof line.days,
            }
          : line,
      ),
    )
  return (
    <section aria-labelledby="figures" className="mt-6">
      <h2 id="figures" className="text-xl">
        {t('settings.figures')}
      </h2>
      <p className="mt-1 text-ink-2">{t('settings.figuresHow')}</p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-labelledby="figures">
        <table className="mt-2 w-full min-w-[44rem] text-left">
          <thead className="text-sm text-ink-2">
            <tr className="border-b-2 border-ink">
              <th className="py-1 pr-3 font-normal">{t('settings.figure')}</th>
              <th className="pr-3 font-normal">{t('settings.trade')}</th>
              <th className="pr-3 font-normal">{t('settings.own')}</th>
              <th className="font-normal">{t('settings.source')}</th>
            </tr>
          </thead>
          <tbody>
            {page.standard.map(({ value, source }, row) => (
              <tr key={value.figure} className="border-b border-rule">
                <td className="py-1 pr-3">{t(`settings.name.${value.figure}`)}</td>
                <td className="pr-3 whitespace-nowrap">
                  {value.earliest === value.latest
                    ? value.likely
                    : `${value.earliest} · ${value.likely} · ${value.latest}`}
                </td>
                <td className="pr-3 whitespace-nowrap">
                  {PARTS.map((part, index) => (
                    <input
                      key={part}
                      className="field mr-1 inline-block w-18"
                      type="number"
                      min={0}
                      max={90}
                      step={0.5}
                      aria-label={`${t(`settings.name.${value.figure}`)}, ${t(`settings.${part}`)}`}
                      value={lines[row]?.days[index] ?? ''}
                      onChange={(event) => write(row, index, event.target.value)}
                    />
                  ))}
                </td>
                <td className="text-sm text-ink-2">{source}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
