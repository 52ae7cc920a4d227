import { useTranslation } from 'react-i18next'
import type { ColonyPage } from '../api/types'
import { sayDay } from '../time/days'
import { Reasons } from '../ui/Reasons'
import { useSay } from '../units/useSay'

/** What it has to eat, and what is to be fed. */
export function StoresLine({ stores }: { stores: NonNullable<ColonyPage['stores']> }) {
  const { t } = useTranslation()
  const say = useSay()
  const day = sayDay(stores.judgeAgain)
  return (
    <div className="mb-4">
      <Reasons reasons={stores.reasons}>
        {t('colony.stores', {
          amount: say.weights(Math.round(stores.leastKg), Math.round(stores.mostKg)),
          day: sayDay(stores.asOf),
          target: say.weight(stores.targetKg),
        })}
      </Reasons>{' '}
      {stores.sugarMostKg > 0.5 && (
        <strong>
          {t(stores.sugarLeastKg > 0 ? 'colony.feed' : 'colony.feedMaybe', {
            amount: say.weights(stores.sugarLeastKg, stores.sugarMostKg),
            most: say.weight(stores.sugarMostKg),
            day,
          })}
        </strong>
      )}
    </div>
  )
}
