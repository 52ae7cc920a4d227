import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { useSearchParams } from 'react-router'
import type { MitesPage } from '../api/types'
import { ChoiceField } from '../ui/Fields'
import { Answer, Page } from '../ui/Page'
import { yardsQuery } from '../yards/queries'
import { MiteHiveLines } from './MiteHiveLines'
import { mitesQuery } from './queries'

/** What was counted in each hive, what it means, what becomes of it. */
export default function MitesScreen() {
  const { t } = useTranslation()
  const [search, setSearch] = useSearchParams()
  const yard = search.get('yard') ?? ''
  const yards = useQuery(yardsQuery).data ?? []
  const query = useQuery(mitesQuery(yard))
  return (
    <Page
      title={t('mites.title')}
      acts={
        <ChoiceField
          name={t('splits.yard')}
          value={yard}
          choices={['', ...yards.map((one) => one.id)]}
          say={(id) => yards.find((one) => one.id === id)?.name ?? t('splits.allYards')}
          onChange={(id) => setSearch(id ? { yard: id } : {}, { replace: true })}
        />
      }
    >
      <Answer query={query}>{(page) => <Found page={page} />}</Answer>
    </Page>
  )
}

function Found({ page }: { page: MitesPage }) {
  const { t } = useTranslation()
  const counted = page.hives.filter((one) => one.counts.length > 0 && !one.stale)
  const acts = counted.filter((one) => one.rules.some((rule) => rule.says === 'ACT'))
  return (
    <>
      <p className="font-read text-2xl font-bold" data-testid="answer">
        {counted.length === 0
          ? t('mites.noneCounted')
          : t('mites.answer', { counted: counted.length, acts: acts.length })}
      </p>
      {page.sampling && (
        <p className="text-ink-2">
          {t('mites.sampling', {
            hives: page.sampling.hives,
            find: page.sampling.toFind,
            know: page.sampling.toKnow,
          })}
        </p>
      )}
      {page.groups.length > 0 && (
        <ul className="mt-2">
          {page.groups.map((one) => (
            <li key={one.kind + one.name}>
              {t(`mites.group.${one.kind}`, { name: one.name, count: one.hives })}{' '}
              <strong>{t('mites.percent', { percent: one.percent.likely })}</strong>{' '}
              <span className="text-ink-2">
                {t('mites.between', { least: one.percent.least, most: one.percent.most })}
              </span>
            </li>
          ))}
        </ul>
      )}
      <ul className="mt-4 border-t-2 border-ink">
        {page.hives.map((hive) => (
          <li key={hive.id} className="border-b border-rule py-2">
            <MiteHiveLines hive={hive} named />
          </li>
        ))}
      </ul>
      <p className="mt-4 max-w-2xl text-sm text-ink-2">{t('mites.label')}</p>
    </>
  )
}
