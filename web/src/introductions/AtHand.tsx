import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { Answer } from '../ui/Page'
import { atHandQuery } from './queries'

/** Queens in cages, colonies in need: who goes where. */
export function AtHand() {
  const { t } = useTranslation()
  const query = useQuery(atHandQuery)
  return (
    <Answer query={query}>
      {(page) => (
        <>
          <p className="font-read text-2xl font-bold" data-testid="answer">
            {t('introductions.pairs', {
              count: page.pairs.length,
              queens: page.queens.length,
              colonies: page.colonies.length,
            })}
          </p>
          <ol className="mt-2">
            {page.pairs.map((pair) => (
              <li
                key={pair.queen}
                className="flex min-h-11 flex-wrap items-center gap-x-3 border-b border-rule py-1"
              >
                <strong>
                  {pair.queenCode} → {pair.hiveCode}
                </strong>
                <span>
                  {pair.methodText},{' '}
                  {t('introductions.pairChance', { percent: Math.round(pair.chance * 100) })}
                </span>
                <Link
                  className="act ml-auto"
                  to={`/introductions?view=give&hive=${pair.hive}&queen=${pair.queen}`}
                >
                  {t('introductions.see', { queen: pair.queenCode, hive: pair.hiveCode })}
                </Link>
              </li>
            ))}
          </ol>
          <List
            name={t('introductions.waitingColonies')}
            lines={page.waiting.map((one) => ({
              ...one,
              to: page.colonies.find((hive) => hive.code === one.code)?.id,
            }))}
          />
          <List name={t('introductions.leftQueens')} lines={page.left} />
        </>
      )}
    </Answer>
  )
}

function List({
  name,
  lines,
}: {
  name: string
  lines: readonly { code: string; why: string; to?: string | undefined }[]
}) {
  if (lines.length === 0) return null
  return (
    <>
      <h2 className="mt-5 text-xl">{name}</h2>
      <ul>
        {lines.map((one) => (
          <li key={one.code} className="border-b border-rule py-1">
            {one.to ? (
              <Link
                className="inline-block min-h-6 font-bold underline"
                to={`/introductions?view=give&hive=${one.to}`}
              >
                {one.code}
              </Link>
            ) : (
              <strong>{one.code}</strong>
            )}{' '}
            {one.why}
          </li>
        ))}
      </ul>
    </>
  )
}
