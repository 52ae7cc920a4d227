import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useSearchParams } from 'react-router'
import type { OrderLine } from '../api/types'
import { seasonQuery } from '../season/queries'
import { useSession } from '../session/queries'
import { Answer, More, Page } from '../ui/Page'
import { OrderForm } from './OrderForm'
import { OrderRow } from './OrderRow'
import { useOrders } from './queries'

/** As many as one order can be for. */
const MOST = 300

const isOpen = (order: OrderLine) => order.state === 'ASKED' || order.state === 'PROMISED'

export default function OrdersScreen() {
  const { t } = useTranslation()
  const [search, setSearch] = useSearchParams()
  const own = Number(search.get('own') ?? 0)
  const [taking, setTaking] = useState(own > 0)
  const orders = useOrders()
  const takes = useSession().role === 'OWNER'
  return (
    <Page
      title={t('order.title')}
      lead={t('order.lead')}
      acts={
        <>
          <Link to="/season" className="act inline-flex items-center">
            {t('nav.season')}
          </Link>
          {takes && (
            <button
              className="act act-main"
              aria-expanded={taking}
              onClick={() => setTaking(!taking)}
            >
              {t('order.new')}
            </button>
          )}
        </>
      }
    >
      {takes && taking && (
        <OrderForm
          {...(own > 0 && {
            need: { count: Math.min(own, MOST), customer: search.get('for') ?? '' },
          })}
          onDone={() => {
            setTaking(false)
            setSearch({}, { replace: true })
          }}
        />
      )}
      <Answer query={orders}>
        {(lines) => (
          <>
            {lines.length === 0 && <p className="font-read text-lg">{t('order.none')}</p>}
            <List name={t('order.open')} lines={lines.filter(isOpen)} />
            <List name={t('order.closed')} lines={lines.filter((line) => !isOpen(line))} />
            <More query={orders} name={t('order.older')} />
          </>
        )}
      </Answer>
    </Page>
  )
}

function List({ name, lines }: { name: string; lines: OrderLine[] }) {
  const season = useQuery(seasonQuery)
  if (lines.length === 0) return null
  const standing = (code: string) => season.data?.standings.find((one) => one.demand === code)
  return (
    <section aria-label={name} className="mt-4">
      <h2 className="text-xl">{name}</h2>
      <ul className="mt-1 border-t-2 border-ink">
        {lines.map((line) => (
          <OrderRow key={line.id} line={line} standing={standing(line.code)} />
        ))}
      </ul>
    </section>
  )
}
