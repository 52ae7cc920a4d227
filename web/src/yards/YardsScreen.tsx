import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { BeginHere } from '../first/BeginHere'
import { useSession } from '../session/queries'
import { Answer, Page } from '../ui/Page'
import { yardsQuery } from './queries'
import { YardForm } from './YardForm'

export default function YardsScreen() {
  const { t } = useTranslation()
  const query = useQuery(yardsQuery)
  const { role } = useSession()
  const [opening, setOpening] = useState(false)
  return (
    <Page
      title={t('nav.yards')}
      lead={t('yards.lead')}
      acts={
        role === 'OWNER' && (
          <button
            className="act act-main"
            aria-expanded={opening}
            onClick={() => setOpening(!opening)}
          >
            {t('yardForm.new')}
          </button>
        )
      }
    >
      {opening && <YardForm onDone={() => setOpening(false)} />}
      <Answer query={query}>
        {(yards) =>
          yards.length === 0 ? (
            <>
              <p className="font-read text-lg">{t('yards.none')}</p>
              <BeginHere />
            </>
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
                      {yard.others > 0 && ` ${t('yardForm.others', { count: yard.others })}`}
                      {yard.closedOn && ` ${t('yardForm.isClosed')}`}
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
