import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { BoxNumbers } from './BoxNumbers'
import { CellsPad } from './CellsPad'
import {
  BOX_SIGNS,
  MORE_SIGNS,
  SIDE_SIGNS,
  signsOn,
  tapped,
  tappedOnSide,
  toldOf,
  turnedRound,
  type Draft,
  type Place,
} from './reading'
import { SearchPad } from './SearchPad'
import { SignKey } from './SignKey'

type Change = { draft: Draft; onChange: (next: Draft) => void }

/** What is on one side of one frame. */
export function SidePad({
  draft,
  place,
  onChange,
  onPlace,
}: Change & { place: Place; onPlace: (next: Place | undefined) => void }) {
  const { t } = useTranslation()
  return (
    <section aria-labelledby="side-pad" className="order-4 lg:order-none">
      <h2 id="side-pad" className="mt-4 flex flex-wrap items-baseline gap-4 text-xl">
        {t(`read.side.${place.side}`, { slot: place.slot })}
        <button
          className="act text-base"
          onClick={() => onPlace({ ...place, side: place.side === 'NEAR' ? 'FAR' : 'NEAR' })}
        >
          {t('read.flip')}
        </button>
        <button
          className="act text-base"
          onClick={() => onChange(turnedRound(draft, place.box, place.slot))}
        >
          {t('read.turnRound')}
        </button>
        <button className="act text-base" onClick={() => onPlace(undefined)}>
          {t('read.wholeBox')}
        </button>
      </h2>
      <div className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4 xl:grid-cols-6">
        {SIDE_SIGNS.map((sign) => (
          <SignKey
            key={sign}
            sign={sign}
            told={signsOn(draft, place).includes(sign) ? 'seen' : 'unlooked'}
            onTap={() => onChange(tappedOnSide(draft, place, sign))}
          />
        ))}
      </div>
    </section>
  )
}

/** What was seen, or looked for and not seen, in the whole hive. */
export function BoxPad({ draft, onChange }: Change) {
  const { t } = useTranslation()
  const [more, setMore] = useState(false)
  return (
    <section aria-labelledby="box-pad" className="order-2 lg:order-none">
      <h2 id="box-pad" className="mt-4 text-xl">
        {t('read.wholeBox')}
      </h2>
      {/* what is seen from above comes first: before a comb is lifted */}
      <BoxNumbers draft={draft} onChange={onChange} fromAbove />
      <p className="mt-3 text-sm text-ink-2">{t('read.how')}</p>
      <div className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4 xl:grid-cols-6">
        {[...BOX_SIGNS, ...(more ? MORE_SIGNS : [])].map((sign) => (
          <SignKey
            key={sign}
            sign={sign}
            told={toldOf(draft, sign)}
            onTap={() => onChange(tapped(draft, sign))}
          />
        ))}
      </div>
      <button className="act mt-2" aria-expanded={more} onClick={() => setMore(!more)}>
        {more ? t('read.fewer') : t('read.more')}
      </button>
      <BoxNumbers draft={draft} onChange={onChange} />
      <SearchPad draft={draft} onChange={onChange} />
      <CellsPad draft={draft} onChange={onChange} />
    </section>
  )
}
