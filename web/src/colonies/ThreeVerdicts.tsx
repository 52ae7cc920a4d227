import { useTranslation } from 'react-i18next'
import type { ColonyPage } from '../api/types'
import { sayDay } from '../time/days'
import { Reasons } from '../ui/Reasons'
import { StoresLine } from './StoresLine'
import { useWho } from './VerdictColumn'

/** Three verdicts on the newest reading, each with its evidence; never one tick for all. */
export function ThreeVerdicts({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const { three } = page
  const sayWho = useWho()
  if (!three) return null
  return (
    <section aria-labelledby="three" className="mb-5">
      <h2 id="three" className="font-work text-sm font-normal text-ink-2">
        {t('colony.three', { day: sayDay(three.day) })}
      </h2>
      <dl className="grid gap-x-8 gap-y-2 border-y-2 border-ink py-2 md:grid-cols-3">
        <div>
          <dt className="text-sm text-ink-2">{t('colony.threeQueen')}</dt>
          <dd className="font-semibold">
            {sayWho(page.verdict)}{' '}
            <span className="font-normal">{Math.round(three.queenChance * 100)} %</span>
          </dd>
        </div>
        <div>
          <dt className="text-sm text-ink-2">{t('colony.threeBrood')}</dt>
          <dd className="font-semibold">
            <Reasons reasons={three.broodReasons}>{three.brood}</Reasons>
          </dd>
        </div>
        <div>
          <dt className="text-sm text-ink-2">{t('colony.threeStrength')}</dt>
          <dd className="font-semibold">
            <Reasons reasons={three.strengthReasons}>{three.strength}</Reasons>
            {page.stores && <StoresLine stores={page.stores} />}
          </dd>
        </div>
      </dl>
      <Trend page={page} />
    </section>
  )
}

/** What was counted from reading to reading, the oldest first. */
function Trend({ page }: { page: ColonyPage }) {
  const { t } = useTranslation()
  const oldest = page.readings.slice(0, 8).toReversed()
  const bees = oldest.flatMap(({ reading }) => reading.framesOfBees ?? [])
  const colours = oldest.flatMap(({ reading }) => reading.pollenColours ?? [])
  if (bees.length < 2 && colours.length < 2) return null
  return (
    <p className="mt-1 text-sm">
      {bees.length > 1 && t('colony.trendBees', { values: bees.join(' → ') })}
      {bees.length > 1 && colours.length > 1 && ' · '}
      {colours.length > 1 && t('colony.trendColours', { values: colours.join(' → ') })}
    </p>
  )
}
