import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { useSession } from '../session/queries'
import { SmallThread } from '../threads/SmallThread'
import { Answer, More } from '../ui/Page'
import { YearDot } from './YearDot'
import { useQueensCalled } from './queries'

/** Cells and queens by part of their code or name: those that are no more, too. */
export function Found({ find }: { find: string }) {
  const { t } = useTranslation()
  const { today } = useSession()
  const found = useQueensCalled(find)
  return (
    <Answer query={found}>
      {(queens) =>
        queens.length === 0 ? (
          <p>{t('queens.notFound', { find })}</p>
        ) : (
          <section className="mb-8">
            <h2 className="border-b-2 border-ink pb-1 text-xl">
              {t(found.hasNextPage ? 'queens.foundFirst' : 'queens.found', {
                count: queens.length,
              })}
            </h2>
            <ul>
              {queens.map((queen) => (
                <li
                  key={queen.id}
                  className="flex min-h-14 flex-wrap items-center gap-x-5 border-b border-rule"
                >
                  <Link
                    to={`/queens/${queen.id}`}
                    className="inline-block min-h-6 w-40 text-lg font-bold underline"
                  >
                    {queen.name || queen.code}
                  </Link>
                  {queen.name && <span className="w-24">{queen.code}</span>}
                  <YearDot queen={queen} />
                  <span>{queen.stageText}</span>
                  <span className="text-ink-2">
                    {queen.hive ?? ''}{' '}
                    {queen.mother && t('queens.daughterOf', { mother: queen.mother })}
                  </span>
                  <span className="ml-auto hidden md:block">
                    {queen.graftId && <SmallThread thread={queen.thread} today={today} />}
                  </span>
                </li>
              ))}
            </ul>
            <More query={found} name={t('queens.more')} />
          </section>
        )
      }
    </Answer>
  )
}
