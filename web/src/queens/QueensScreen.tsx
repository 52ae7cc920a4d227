import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { BeginHere } from '../first/BeginHere'
import { Lines } from '../lineage/Lines'
import { MatingPlanner } from '../lineage/MatingPlanner'
import { QueenList } from '../lineage/QueenList'
import { RequeeningList } from '../lineage/RequeeningList'
import { Page } from '../ui/Page'
import { Tabs } from '../ui/Tabs'
import { useAsked } from '../ui/useAsked'
import { Found } from './Found'
import { breedersQuery } from './queries'
import { QueenForm } from './QueenForm'

const VIEWS = ['list', 'lines', 'mating', 'requeening'] as const

/** All queens, their lines, what a mating would give, and which of them are replaced. */
export default function QueensScreen() {
  const { t } = useTranslation()
  const [search, set] = useAsked()
  const view = VIEWS.find((one) => one === search.get('view')) ?? 'list'
  const find = search.get('find') ?? ''
  const [adding, setAdding] = useState(false)
  const breeders = useQuery(breedersQuery).data
  return (
    <Page
      title={t('nav.queens')}
      acts={
        <>
          <Tabs
            name={t('queens.views')}
            path="/queens"
            views={VIEWS}
            view={view}
            search={new URLSearchParams()}
            say={(one) => t(`queens.view.${one}`)}
          />
          <button
            className="act act-main"
            aria-expanded={adding}
            onClick={() => setAdding(!adding)}
          >
            {t('queenForm.new')}
          </button>
        </>
      }
    >
      {adding && <QueenForm onDone={() => setAdding(false)} />}
      {breeders?.length === 0 && (
        <>
          <p className="font-read text-lg">{t('queens.none')}</p>
          <BeginHere />
        </>
      )}
      {view === 'list' && (
        <>
          <form
            role="search"
            className="mb-4 flex max-w-md gap-3"
            onSubmit={(event) => {
              event.preventDefault()
              set({ find: String(new FormData(event.currentTarget).get('find')).trim() })
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
          {find ? <Found find={find} /> : <QueenList search={search} set={set} />}
        </>
      )}
      {view === 'lines' && <Lines search={search} set={set} />}
      {view === 'mating' && <MatingPlanner search={search} set={set} />}
      {view === 'requeening' && <RequeeningList search={search} set={set} />}
    </Page>
  )
}
