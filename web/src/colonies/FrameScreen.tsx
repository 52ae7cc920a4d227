import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link, useParams } from 'react-router'
import { sayDay } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { frameQuery } from './queries'

/** Where one frame has been, and what was seen on it there. */
export default function FrameScreen() {
  const { t } = useTranslation()
  const query = useQuery(frameQuery(useParams().id ?? ''))
  return (
    <Answer query={query}>
      {(frame) => (
        <Page title={t('frame.title')} lead={frame.now}>
          <ul className="border-t-2 border-ink">
            {frame.stays.map((stay) => (
              <li
                key={`${stay.since} ${stay.hive} ${stay.slot}`}
                className="border-b border-rule py-2"
                data-testid="stay"
              >
                <strong>
                  {stay.hiveId ? (
                    <Link className="underline" to={`/colonies/${stay.hiveId}`}>
                      {t('colony.at', { hive: stay.hive, slot: stay.slot })}
                    </Link>
                  ) : (
                    (stay.store ?? t('frame.away'))
                  )}
                </strong>{' '}
                {t('frame.days', {
                  since: sayDay(stay.since),
                  until: stay.until ? sayDay(stay.until) : t('frame.now'),
                })}
                <ul>
                  {stay.seen.map((sight) => (
                    <li key={sight.day} className="text-sm text-ink-2">
                      {sayDay(sight.day)}:{' '}
                      {[sight.near, sight.far]
                        .map((side) => side.map((sign) => t(`sign.${sign}`)).join(', ') || '–')
                        .join(' / ')}
                    </li>
                  ))}
                </ul>
              </li>
            ))}
          </ul>
        </Page>
      )}
    </Answer>
  )
}
