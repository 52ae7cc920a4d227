import { useTranslation } from 'react-i18next'
import type { Settings } from '../api/types'
import { ChoiceField, TicksField } from '../ui/Fields'

const SWARM_SCHOOLS = [
  'DESTROY_AND_RETURN',
  'LEAVE_ONE_NOW',
  'REMOVE_AND_REPEAT',
  'BEFORE_CELLS',
] as const
const ACTIONS = [
  'TEST_FRAME',
  'GIVE_CELL',
  'GIVE_QUEEN',
  'BROOD_THEN_QUEEN',
  'BROOD_WEEKLY',
  'SHAKE_OUT',
  'SHAKE_OUT_FOR_A_NUC',
  'UNITE',
  'BREAK_UP',
] as const
type Swarm = Settings['swarm']
type Preferred = Settings['preferred']

/** The operation's own way where the trade is of several minds. */
export function Schools({
  swarm,
  setSwarm,
  preferred,
  setPreferred,
}: {
  swarm: Swarm
  setSwarm: (next: Swarm) => void
  preferred: Preferred
  setPreferred: (next: Preferred) => void
}) {
  const { t } = useTranslation()
  return (
    <section aria-labelledby="schools" className="mt-6">
      <h2 id="schools" className="text-xl">
        {t('settings.schools')}
      </h2>
      <div className="mt-1 max-w-md">
        <ChoiceField
          name={t('settings.swarm')}
          value={swarm}
          choices={SWARM_SCHOOLS}
          say={(one) => t(`swarm.schools.${one}`)}
          onChange={setSwarm}
        />
      </div>
      <TicksField
        name={t('settings.preferred')}
        value={preferred}
        choices={ACTIONS}
        say={(one) => t(`action.${one}`)}
        onChange={setPreferred}
      />
    </section>
  )
}
