import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { Answer, Page } from '../ui/Page'
import { yardsQuery } from './queries'

export default function YardsScreen() {
  const { t } = useTranslation()
  const query = useQuery(yardsQuery)
  return (
    <Page title={t('nav.yards')} lead={t('yards.lead')}>
      <Answer query={query}>
        {(yards) =>
          yards.length === 0 ? (
            <p className="font-read text-lg">{t('yards.none')}</p>
          ) : (
            <ul className="max-w-2xl border-t-2 border-ink">
              {yards.map((yard) => (
                <li key={yard.id} className="border-b border-rule">
                  <Link
                    to={`/yards/${yard.id}`}
                    className="flex min-h-16 flex-wrap items-baseline gap-x-5 py-3"
                  >
                    <span className="font-read text-2xl underline">{yard.name}</span>
                    <span className="text-ink-2">
                      {t('yards.nucs', { count: yard.hives, held: yard.held })}
                    </span>
                    {yard.late > 0 && (
                      <strong className="text-crown">
                        {t('yards.late', { count: yard.late })}
                      </strong>
                    )}
                  </Link>
                </li>
              ))}
            </ul>
          )
        }
      </Answer>
    </Page>
  )
}
