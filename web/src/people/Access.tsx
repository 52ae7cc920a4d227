import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { usePages } from '../api/pages'
import { useSession } from '../session/queries'
import { sayMoment } from '../time/days'
import { Answer, More } from '../ui/Page'

/** Who came in and from where, who tried in vain, who was let in, made owner or crew, or left. */
export function Access() {
  const { t } = useTranslation()
  const { zone } = useSession()
  const query = usePages(['people', 'access'], (page) =>
    answered(api.GET('/api/v1/people/access', { params: { query: { page } } })),
  )
  return (
    <details className="mt-4">
      <summary className="cursor-pointer font-semibold">{t('people.access.title')}</summary>
      <p className="text-ink-2">{t('people.access.lead')}</p>
      <Answer query={query}>
        {(lines) => (
          <ul className="mt-2 border-t-2 border-ink">
            {lines.map((line) => (
              <li
                key={line.id}
                className="grid gap-x-4 border-b border-rule py-2 sm:grid-cols-[12rem_1fr_14rem]"
                data-testid="access"
              >
                <span className="text-ink-2">{sayMoment(line.happenedAt, zone)}</span>
                <span className={line.what === 'WRONG_PASSWORD' ? 'font-semibold text-crown' : ''}>
                  {t(`people.access.${line.what}`, { name: line.person })}
                  {line.by && ` ${t('people.access.by', { name: line.by })}`}
                </span>
                <span className="truncate text-sm text-ink-2" title={line.device}>
                  {line.source} {line.device}
                </span>
              </li>
            ))}
          </ul>
        )}
      </Answer>
      <More query={query} name={t('people.access.older')} />
    </details>
  )
}
