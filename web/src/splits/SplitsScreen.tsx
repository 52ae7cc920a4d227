import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { ChoiceField, NumberField } from '../ui/Fields'
import { Page } from '../ui/Page'
import { Tabs } from '../ui/Tabs'
import { useAsked } from '../ui/useAsked'
import { yardsQuery } from '../yards/queries'
import { Boost } from './Boost'
import { Equalise } from './Equalise'
import { LateSeason } from './LateSeason'
import { Followed } from './Followed'
import { Split } from './Split'
import { Store } from './Store'
import { Unite } from './Unite'

const VIEWS = ['split', 'equalise', 'boost', 'unite', 'late', 'store'] as const

/** What can I split, and into what? Who needs a boost? What goes into winter? */
export default function SplitsScreen() {
  const { t } = useTranslation()
  const [search, ask] = useAsked()
  const view = VIEWS.find((one) => one === search.get('view')) ?? 'split'
  const yards = useQuery(yardsQuery)
  const yard = search.get('yard') ?? ''
  const set = (key: string, value: string) => ask({ [key]: value })
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
    <Page
      title={t('splits.title')}
      acts={
        <Tabs
          name={t('splits.views')}
          path="/splits"
          views={VIEWS}
          view={view}
          search={search}
          say={(one) => t(`splits.view.${one}`)}
        />
      }
    >
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
