import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import type { Batch } from '../api/types'
import { addDays, sayDay } from '../time/days'
import { forWhom, plannedThread } from './planned'

/** A planned graft as a row of the thread chart, moved by so many days while it is dragged. */
export function usePlannedRow() {
  const { t } = useTranslation()
  return (batch: Batch, more?: ReactNode, moved = 0) => {
    const day = addDays(batch.day, moved)
    const whom = forWhom(batch) || t('season.nobody')
    return {
      label: (
        <>
          <strong>{batch.builder}</strong> · {batch.cups}
          {more}
        </>
      ),
      says: t('season.rowSays', {
        builder: batch.builder,
        cups: batch.cups,
        breeder: batch.breederName,
        day: sayDay(day),
        whom,
      }),
      thread: plannedThread(batch, moved),
      due: { day, text: whom, late: false },
    }
  }
}
