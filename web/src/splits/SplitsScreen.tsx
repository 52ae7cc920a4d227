import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { NavLink, useSearchParams } from 'react-router'
import { ChoiceField, NumberField } from '../ui/Fields'
import { Page } from '../ui/Page'
import { yardsQuery } from '../yards/queries'
import { Boost } from './Boost'
import { Equalise } from './Equalise'
import { LateSeason } from './LateSeason'
import { Followed } from './Followed'
import { Split } from './Split'
import { Store } from './Store'
import { Unite } from './Unite'

const VIEWS = ['split', 'equalise', 'boost', 'unite', 'late', 'store'] as const
type View = (typeof VIEWS)[number]

/** What can I split, and into what? Who needs a boost? What goes into winter? */
export default function SplitsScreen() {
  const { t } = useTranslation()
  const [search, setSearch] = useSearchParams()
  const view = VIEWS.find((one) => one === search.get('view')) ?? 'split'
  const yards = useQuery(yardsQuery)
  const yard = search.get('yard') ?? ''
  const set = (key: string, value: string) =>
    setSearch(
      (now) => {
        if (value) now.set(key, value)
        else now.delete(key)
        return now
      },
      { replace: true },
    )
  const where = (
    <ChoiceField
      name={t('splits.yard')}
      value={yard}
      choices={['', ...(yards.data ?? []).map((one) => one.id)]}
      say={(id) => yards.data?.find((one) => one.id === id)?.name ?? t('splits.allYards')}
      onChange={(id) => set('yard', id)}
    />
  )
  return (
    <Page title={t('splits.title')} acts={<Views view={view} search={search} />}>
      {view === 'split' && <Followed />}
      {view === 'split' && <Split search={search} set={set} where={where} />}
      {view === 'boost' && <Boost search={search} set={set} />}
      {view === 'unite' && <Unite search={search} set={set} />}
      {view === 'store' && <Store />}
      {view === 'equalise' && <Equalise yard={yard} where={where} />}
      {view === 'late' && (
        <LateSeason
          yard={yard}
          queens={Number(search.get('queens') ?? 0)}
          where={
            <>
              {where}
              <NumberField
                name={t('splits.matedQueens')}
                value={Number(search.get('queens') ?? 0)}
                min={0}
                max={999}
                onChange={(next) => set('queens', next ? String(next) : '')}
              />
            </>
          }
        />
      )}
    </Page>
  )
}

function Views({ view, search }: { view: View; search: URLSearchParams }) {
  const { t } = useTranslation()
  return (
    <nav aria-label={t('splits.views')} className="flex flex-wrap gap-x-4">
      {VIEWS.map((one) => {
        const to = new URLSearchParams(search)
        to.set('view', one)
        return (
          <NavLink
            key={one}
            to={`/splits?${to}`}
            aria-current={one === view ? 'page' : undefined}
            className={`inline-flex min-h-11 items-center ${one === view ? 'font-bold text-crown' : 'underline'}`}
          >
            {t(`splits.view.${one}`)}
          </NavLink>
        )
      })}
    </nav>
  )
}
