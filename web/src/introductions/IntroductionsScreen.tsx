import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { useSession } from '../session/queries'
import { saySpan } from '../time/days'
import { Answer, Page } from '../ui/Page'
import { Tabs } from '../ui/Tabs'
import { useAsked } from '../ui/useAsked'
import { AtHand } from './AtHand'
import { Bank } from './Bank'
import { byDay } from './board'
import { Give } from './Give'
import { introductionsQuery } from './queries'

const VIEWS = ['board', 'give', 'hand', 'bank'] as const

/** Whose cage opens, what is to be looked at, who gets which queen. */
export default function IntroductionsScreen() {
  const { t } = useTranslation()
  const [search, set] = useAsked()
  const view = VIEWS.find((one) => one === search.get('view')) ?? 'board'
  return (
    <Page
      title={t('introductions.title')}
      acts={
        <Tabs
          name={t('introductions.views')}
          path="/introductions"
          views={VIEWS}
          view={view}
          search={search}
          say={(one) => t(`introductions.view.${one}`)}
        />
      }
    >
      {view === 'board' && <Board />}
      {view === 'give' && <Give search={search} set={set} />}
      {view === 'hand' && <AtHand />}
      {view === 'bank' && <Bank />}
    </Page>
  )
}

function Board() {
  const { t } = useTranslation()
  const { today } = useSession()
  const query = useQuery(introductionsQuery)
  return (
    <Answer query={query}>
      {({ open, closed, spray }) => (
        <>
          <p className="mb-3">
            <a className="act inline-flex items-center" href="/api/v1/introductions/sheet.pdf">
              {t('introductions.sheet')}
            </a>
          </p>
          {open.length === 0 && <p>{t('introductions.none')}</p>}
          {byDay(open, today).map(({ group, rows }) => (
            <section key={group} aria-labelledby={`day-${group}`} className="mb-5">
              <h2 id={`day-${group}`} className="text-xl">
                {t(`introductions.when.${group}`)}
              </h2>
              <ul>
                {rows.map(({ one, next }) => (
                  <li key={one.id + next.task} className="border-b border-rule">
                    <Link
                      to={`/introductions/${one.id}`}
                      className="grid min-h-14 grid-cols-[4.5rem_minmax(0,1fr)] items-baseline gap-x-3 py-2 md:grid-cols-[5rem_9rem_minmax(0,1fr)_9rem]"
                    >
                      <strong>{one.hiveCode}</strong>
                      <span className={next.urgent ? 'font-semibold text-crown' : 'font-semibold'}>
                        {t(`introductions.task.${next.task}`)}
                      </span>
                      <span className="col-span-2 text-ink-2 md:col-span-1">
                        {one.code} · {one.methodText}. {next.text}
                      </span>
                      <span className="hidden text-ink-2 md:block">{saySpan(next.when)}</span>
                    </Link>
                  </li>
                ))}
              </ul>
            </section>
          ))}
          {closed.length > 0 && (
            <section aria-labelledby="came-out">
              <h2 id="came-out" className="text-xl">
                {t('introductions.cameOut')}
              </h2>
              <ul>
                {closed.map((one) => (
                  <li key={one.id} className="border-b border-rule py-2">
                    <Link
                      className="inline-block min-h-6 underline"
                      to={`/introductions/${one.id}`}
                    >
                      {one.hiveCode} · {one.code}
                    </Link>{' '}
                    <strong className={one.outcome === 'LOST' ? 'text-crown' : ''}>
                      {t(`introductions.outcome.${one.outcome}`)}
                    </strong>{' '}
                    {one.cause && one.cause !== 'NONE' && t(`introductions.cause.${one.cause}`)}{' '}
                    {one.afterwards}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {spray && (
            <p className="mt-3 max-w-2xl text-ink-2">
              {t('introductions.spray', {
                with: spray.sprayedKept,
                sprayed: spray.sprayed,
                without: spray.plainKept,
                plain: spray.plain,
              })}{' '}
              {t('introductions.sprayHelps', { odds: Math.round(spray.better * 10) })}
            </p>
          )}
        </>
      )}
    </Answer>
  )
}
