import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { useState } from 'react'
import { BeginHere } from '../first/BeginHere'
import { saySpan } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { coloniesQuery } from './queries'
import { SetUpForm } from './SetUpForm'

export default function ColoniesScreen() {
  const { t } = useTranslation()
  const query = useQuery(coloniesQuery)
  const [adding, setAdding] = useState(false)
  return (
    <Page title={t('nav.colonies')} lead={t('colonies.lead')}>
      <button className="act mb-3" aria-expanded={adding} onClick={() => setAdding(!adding)}>
        {t('setUp.new')}
      </button>
      {adding && <SetUpForm onDone={() => setAdding(false)} />}
      <Answer query={query}>
        {(lines) =>
          lines.length === 0 ? (
            <>
              <p className="font-read text-lg">{t('colonies.none')}</p>
              <BeginHere />
            </>
          ) : (
            <ul className="border-t-2 border-ink">
              {lines.map((line) => (
                <li
                  key={line.id}
                  className="grid items-center gap-x-4 gap-y-1 border-b border-rule py-2 md:grid-cols-[6rem_minmax(0,1fr)_minmax(0,1fr)_auto]"
                  data-testid="colony"
                  data-code={line.code}
                >
                  <Link
                    to={`/colonies/${line.id}`}
                    className="inline-block min-h-8 text-2xl font-bold underline"
                  >
                    {line.code}
                  </Link>
                  <p>
                    <strong className={line.leading === 'LAYING_QUEEN' ? '' : 'text-crown'}>
                      {line.text}
                    </strong>{' '}
                    {Math.round(line.chance * 100)} %
                    <span className="block text-sm text-ink-2">{line.yardName}</span>
                  </p>
                  <p className="text-sm text-ink-2">
                    {line.stop && (
                      <strong className="block text-crown">{t('colonies.stop')}</strong>
                    )}
                    {line.clash && (
                      <strong className="block text-crown">{t('colonies.clash')}</strong>
                    )}
                    {line.due && (
                      <span className={line.overdue ? 'block font-semibold text-crown' : 'block'}>
                        {t('colonies.due', {
                          what: line.due.lookFor,
                          when: saySpan(line.due.days),
                        })}
                      </span>
                    )}
                    {line.daysSinceRead === undefined
                      ? t('colonies.neverRead')
                      : t('colonies.read', { count: line.daysSinceRead })}
                  </p>
                  <Link to={`/colonies/${line.id}/read`} className="act inline-flex items-center">
                    {t('colonies.doRead')}
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
