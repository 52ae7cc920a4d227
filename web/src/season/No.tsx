import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Findings } from '../ui/Page'
import { percent } from './planned'
import { moved } from './beside'
import { withoutQuery } from './queries'

/** What a no to this order would free: the season planned with it and without it, asked for only where somebody wants to know. */
export function No({ demand }: { demand: string }) {
  const { t } = useTranslation()
  const [asked, setAsked] = useState(false)
  const without = useQuery({ ...withoutQuery(demand), enabled: asked })
  const freed = without.data
  if (!asked)
    return (
      <button
        className="min-h-10 text-left text-sm underline"
        aria-label={t('season.no.askOf', { demand })}
        onClick={() => setAsked(true)}
      >
        {t('season.no.ask')}
      </button>
    )
  if (!freed)
    return without.error ? (
      <Findings error={without.error} />
    ) : (
      <span role="status">{t('season.no.reckoning')}</span>
    )
  const others = moved(
    freed.others.map((one) => ({ demand: one.demand, chance: one.with })),
    freed.others.map((one) => ({ demand: one.demand, chance: one.without })),
  )
  return (
    <div role="status" className="text-sm" data-testid="no">
      <p>
        {t(freed.hours < 0 ? 'season.no.fills' : 'season.no.frees', {
          hours: Math.abs(Math.round(freed.hours)),
          cups: freed.cups,
          nucDays: freed.nucDays,
        })}
      </p>
      {freed.gains.length > 0 && (
        <p className="font-semibold">{t('season.no.hold', { whom: freed.gains.join(', ') })}</p>
      )}
      {others.map((one) => (
        <p key={one.demand}>
          {t('season.no.moves', {
            demand: one.demand,
            from: percent(one.from),
            to: percent(one.to),
          })}
        </p>
      ))}
      {others.length === 0 && <p>{t('season.no.nobody')}</p>}
    </div>
  )
}
