import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { colonyQuery } from '../colonies/queries'

const LAY: ReadonlySet<string> = new Set(['LAYING', 'JUDGED'])

/** Who lays in the hive that raised her is her mother, if it was she who laid the egg: proposed, never taken for granted. */
export function MotherProposed({
  hive,
  daughter,
  onTake,
}: {
  hive: string
  daughter: string
  onTake: (mother: { id: string; name: string }) => void
}) {
  const { t } = useTranslation()
  const page = useQuery({ ...colonyQuery(hive), retry: false }).data
  const laying = page?.queens.filter((one) => one.id !== daughter && LAY.has(one.stage)) ?? []
  return laying.map((one) => (
    <button
      key={one.id}
      type="button"
      className="act"
      onClick={() => onTake({ id: one.id, name: one.name || one.code })}
    >
      {t('queenForm.herMother', { mother: one.name || one.code, hive: page?.colony.code ?? '' })}
    </button>
  ))
}
