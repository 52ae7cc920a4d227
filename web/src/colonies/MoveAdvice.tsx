import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { useSay } from '../units/useSay'

/** What moving the hive there does to its flying bees, before it is done. */
export function MoveAdvice({ hive, yard }: { hive: string; yard: string }) {
  const { t } = useTranslation()
  const say = useSay()
  const { data } = useQuery({
    queryKey: ['hives', hive, 'move', yard],
    queryFn: () =>
      answered(
        api.GET('/api/v1/hives/{id}/move', { params: { path: { id: hive }, query: { yard } } }),
      ),
  })
  if (!data) return null
  return (
    <div className="sm:col-span-3" role="status" data-testid="move-advice">
      <p className={data.verdict === 'NOT_NOW' ? 'font-bold text-crown' : 'font-bold'}>
        {t(`move.${data.verdict}`)}
        {data.metres > 0 && ` · ${say.distance(data.metres)}`}
      </p>
      <ul className="list-disc pl-5">
        {data.reasons.map((reason) => (
          <li key={reason.text}>{reason.text}</li>
        ))}
      </ul>
    </div>
  )
}
