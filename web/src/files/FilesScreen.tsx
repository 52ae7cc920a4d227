import { Tabs } from 'radix-ui'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useSession } from '../session/queries'
import { Page } from '../ui/Page'
import { ArchiveSection } from './ArchiveSection'
import { CalendarLink } from './CalendarLink'
import { KINDS, type Kind } from './doors'
import { Import } from './Import'

const OUT = [
  { name: 'files.tasks', href: '/api/v1/exports/tasks.ics', ofOwner: false },
  { name: 'files.apiary', href: '/api/v1/exports/apiary.csv', ofOwner: false },
  { name: 'files.queens', href: '/api/v1/exports/queens.csv', ofOwner: false },
  { name: 'files.pedigree', href: '/api/v1/exports/pedigree.csv', ofOwner: false },
  { name: 'files.scores', href: '/api/v1/exports/scores.csv', ofOwner: false },
  { name: 'files.orders', href: '/api/v1/exports/orders.csv', ofOwner: true },
] as const

export default function FilesScreen() {
  const { t } = useTranslation()
  const isOwner = useSession().role === 'OWNER'
  const kinds = KINDS.filter((one) => isOwner || one === 'weather')
  const [kind, setKind] = useState<Kind>(kinds[0] ?? 'weather')
  return (
    <Page title={t('nav.files')} lead={t('files.lead')}>
      <section aria-labelledby="out" className="mb-8 max-w-4xl">
        <h2 id="out" className="border-b-2 border-ink pb-1 text-xl">
          {t('files.out')}
        </h2>
        <p className="mt-3 flex flex-wrap gap-3">
          {OUT.filter((one) => isOwner || !one.ofOwner).map((one) => (
            <a key={one.href} className="act inline-flex items-center" href={one.href} download>
              {t(one.name)}
            </a>
          ))}
        </p>
        {isOwner && <CalendarLink />}
      </section>
      <section aria-labelledby="in" className="mb-10 max-w-4xl">
        <h2 id="in" className="border-b-2 border-ink pb-1 text-xl">
          {t('files.in')}
        </h2>
        <Tabs.Root value={kind} onValueChange={(next) => setKind(next as Kind)}>
          <Tabs.List className="mt-3 flex flex-wrap gap-3" aria-labelledby="in">
            {kinds.map((one) => (
              <Tabs.Trigger
                key={one}
                value={one}
                className="act data-[state=active]:bg-ink data-[state=active]:text-paper"
              >
                {t(`files.kind.${one}.in`)}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          {kinds.map((one) => (
            <Tabs.Content key={one} value={one} forceMount hidden={one !== kind}>
              <Import kind={one} />
            </Tabs.Content>
          ))}
        </Tabs.Root>
      </section>
      {isOwner ? <ArchiveSection /> : <p>{t('files.ownerOnly')}</p>}
    </Page>
  )
}
