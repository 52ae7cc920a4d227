import { useTranslation } from 'react-i18next'
import type { MatingOutlook } from '../api/types'
import { Reasons } from '../ui/Reasons'
import { BroodComb } from './BroodComb'

const percent = (share: number) => Math.round(share * 1000) / 10

/** What a mating gives: kinship, the brood it costs, and how the comb would look. */
export function MatingTold({ mating }: { mating: MatingOutlook }) {
  const { t } = useTranslation()
  return (
    <div>
      <p className={`text-lg font-bold ${mating.advice === 'APART' ? 'text-crown' : ''}`}>
        {mating.text}
      </p>
      <Reasons reasons={mating.reasons}>
        <span>
          {t('mating.told', {
            inbreeding: percent(mating.inbreeding),
            lost: percent(mating.loss.share.likely),
            least: percent(mating.loss.share.least),
            most: percent(mating.loss.share.most),
          })}
        </span>
      </Reasons>
      <BroodComb lost={mating.loss.share.likely} />
    </div>
  )
}
