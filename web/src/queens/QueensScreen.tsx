import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useSearchParams } from 'react-router'
import type { Queen } from '../api/types'
import { useSession } from '../session/queries'
import { SmallThread } from '../threads/SmallThread'
import { Answer, More, Page } from '../ui/Page'
import { BeginHere } from '../first/BeginHere'
import { QueenForm } from './QueenForm'
import { YearDot } from './YearDot'
import { breedersQuery, useQueensCalled } from './queries'

export default function QueensScreen() {
  const { t } = useTranslation()
  const [address, setAddress] = useSearchParams()
  const find = address.get('find') ?? ''
  const [adding, setAdding] = useState(false)
  const breeders = useQuery(breedersQuery)
  const found = useQueensCalled(find)
  return (
    <Page
      title={t('nav.queens')}
      lead={t('queens.lead')}
      acts={
        <button className="act act-main" aria-expanded={adding} onClick={() => setAdding(!adding)}>
          {t('queenForm.new')}
        </button>
      }
    >
      {adding && <QueenForm onDone={() => setAdding(false)} />}
      <form
        role="search"
        className="mb-6 flex max-w-md gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          setAddress({ find: String(new FormData(event.currentTarget).get('find')).trim() })
        }}
      >
        <input
          className="field"
          name="find"
          defaultValue={find}
          key={find}
          aria-label={t('nav.findLabel')}
        />
        <button className="act">{t('queens.find')}</button>
      </form>
      {find && (
        <Answer query={found}>
          {(queens) =>
            queens.length === 0 ? (
              <p>{t('queens.notFound', { find })}</p>
            ) : (
              <>
                <Queens
                  queens={queens}
                  title={t(found.hasNextPage ? 'queens.foundFirst' : 'queens.found', {
                    count: queens.length,
                  })}
                />
                <More query={found} name={t('queens.more')} />
              </>
            )
          }
        </Answer>
      )}
      <Answer query={breeders}>
        {(queens) =>
          queens.length === 0 ? (
            <>
              <p className="font-read text-lg">{t('queens.none')}</p>
              <BeginHere />
            </>
          ) : (
            <Queens queens={queens} title={t('queens.breeders')} />
          )
        }
      </Answer>
    </Page>
  )
}

function Queens({ queens, title }: { queens: Queen[]; title: string }) {
  const { t } = useTranslation()
  const { today } = useSession()
  return (
    <section className="mb-8">
      <h2 className="border-b-2 border-ink pb-1 text-xl">{title}</h2>
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
              {queen.hive ?? ''} {queen.mother && t('queens.daughterOf', { mother: queen.mother })}
            </span>
            <span className="ml-auto hidden md:block">
              {queen.graftId && <SmallThread thread={queen.thread} today={today} />}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
