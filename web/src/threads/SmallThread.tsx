import type { Thread } from '../api/types'
import { addDays } from '../time/days'
import { Hatchings } from './marks/Closed'
import { dayScale, startOf } from './scale'
import { ThreadLine } from './ThreadLine'

/** The thread in small, for a list row: two weeks back, one ahead. Decoration beside words that say the same. */
export function SmallThread({ thread, today }: { thread: Thread; today: string }) {
  const scale = dayScale(addDays(today, -14), addDays(today, 7), 220)
  const x = startOf(scale, today)
  return (
    <svg width={220} height={40} aria-hidden className="max-w-full">
      <Hatchings />
      <ThreadLine thread={thread} today={today} scale={scale} words={false} />
      <line x1={x} x2={x} y1={2} y2={38} stroke="var(--crown)" strokeWidth={2} />
    </svg>
  )
}
