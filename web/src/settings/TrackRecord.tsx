import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import type { components } from '../api/schema'

type Line = components['schemas']['TrackLine']

/** How right the judgement was here: what it said, and how often it was so. */
export function TrackRecord() {
  const { t } = useTranslation()
  const { data } = useQuery({
    queryKey: ['track-record'],
    queryFn: () => answered(api.GET('/api/v1/colonies/track-record')),
  })
  if (!data) return null
  const share = (line: Line) =>
    t('settings.trackLine', {
      so: line.so,
      answers: line.answers,
      low: Math.round(line.low * 100),
      high: Math.round(line.high * 100),
    })
  return (
    <section aria-labelledby="track" className="mt-10 max-w-4xl">
      <h2 id="track" className="text-xl">
        {t('settings.track')}
      </h2>
      <p>
        {data.settled === 0
          ? t('settings.trackNone')
          : t('settings.trackLead', { count: data.settled })}
      </p>
      {data.settled > 0 && (
        <div className="mt-2 grid gap-x-10 md:grid-cols-2">
          <Table
            head={t('settings.trackSaid')}
            rows={data.byChance.map((line) => [
              t('settings.trackRange', {
                from: Math.round(line.from * 100),
                to: Math.round(line.from * 100) + 10,
              }),
              share(line),
            ])}
          />
          <Table
            head={t('settings.trackState')}
            rows={data.byState.map((one) => [one.text, share(one.line)])}
          />
        </div>
      )}
    </section>
  )
}

function Table({ head, rows }: { head: string; rows: [string, string][] }) {
  const { t } = useTranslation()
  return (
    <table className="w-full text-left">
      <thead className="text-sm text-ink-2">
        <tr className="border-b-2 border-ink">
          <th className="font-normal">{head}</th>
          <th className="font-normal">{t('settings.trackSo')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([said, so]) => (
          <tr key={said} className="border-b border-rule">
            <th className="py-1 font-normal">{said}</th>
            <td>{so}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
