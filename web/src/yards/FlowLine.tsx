import { useTranslation } from 'react-i18next'
import type { YardPage } from '../api/types'
import { useRecord } from '../outbox/useRecord'
import { sayDay } from '../time/days'
import { AskLine } from './AskLine'

const FLOWS = ['DEARTH', 'LITTLE', 'GOOD', 'STRONG'] as const

/** What bees find at the yard, and who says so; two taps say it. */
export function FlowLine({ yard }: { yard: YardPage }) {
  const { t } = useTranslation()
  const { record } = useRecord()
  const { flow } = yard.place
  return (
    <li>
      {flow
        ? `${t(`flow.${flow.flow}`)} (${t(`flow.by.${flow.by}`, { day: sayDay(flow.on) })})`
        : t('flow.unknown')}
      <AskLine
        ask={t('flow.ask')}
        answers={FLOWS}
        given={flow?.by === 'SAID' ? flow.flow : undefined}
        says={(one) => t(`flow.${one}`)}
        onAnswer={(one) =>
          void record(`${yard.name}: ${t(`flow.${one}`)}`, [
            { deed: { kind: 'YARD_FLOW_SAID', yard: yard.id, flow: one } },
          ])
        }
      />
    </li>
  )
}
