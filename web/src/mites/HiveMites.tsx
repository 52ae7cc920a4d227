import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { BroodActs, BroodWindows } from '../threads/BroodWindows'
import { Answer } from '../ui/Page'
import { MiteHiveLines } from './MiteHiveLines'
import { hiveMitesQuery } from './queries'

/** The mites of one hive on its own page, and the days without sealed brood that what happens in it opens. */
export function HiveMites({ hive }: { hive: string }) {
  const { t } = useTranslation()
  const query = useQuery(hiveMitesQuery(hive))
  return (
    <Answer query={query}>
      {({ known, brood, why }) => (
        <section className="mt-6" aria-labelledby="hive-mites">
          <h2 id="hive-mites" className="text-xl">
            {t('mites.here')}
          </h2>
          <MiteHiveLines hive={known} />
          {why && (
            <div className="mt-3">
              <h3 className="font-semibold">{t('brood.here')}</h3>
              <p>{why}</p>
              {brood && (
                <>
                  <BroodWindows brood={brood} />
                  <BroodActs brood={brood} />
                </>
              )}
            </div>
          )}
          <Link className="inline-block min-h-6 underline" to="/mites">
            {t('mites.all')}
          </Link>
        </section>
      )}
    </Answer>
  )
}
