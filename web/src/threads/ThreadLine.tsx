import { useTranslation } from 'react-i18next'
import type { Thread } from '../api/types'
import { dayNumber } from '../time/days'
import { Clean, type CleanDays } from './marks/Clean'
import { Closed, Unsure } from './marks/Closed'
import { DueMark, EndMark, Sighting } from './marks/Sighting'
import { StrandMark } from './marks/Strand'
import { middleOf, startOf, type DayScale } from './scale'
import { splitAtToday } from './split'

export type ThreadDue = { day: string; text: string; late: boolean }

/** The marks of one life, in a group 36 px high with the thread at its middle. */
export function ThreadLine(props: {
  thread: Thread
  today: string
  scale: DayScale
  due?: ThreadDue
  clean?: CleanDays
  endWord?: string
  words?: boolean
}) {
  const { thread, today, scale, due } = props
  const { t } = useTranslation()
  const y = 22
  const [low, high] = scale.range() as [number, number]
  const seen = thread.seen.filter((one) => within(middleOf(scale, one.day), low, high))
  const dueX = due && middleOf(scale, dayNumber(due.day) < dayNumber(today) ? today : due.day)
  return (
    <g>
      {props.clean && <Clean days={props.clean} scale={scale} y={y} />}
      {thread.handsOff.map((span) => (
        <Closed key={span.earliest} span={span} scale={scale} y={y} />
      ))}
      {thread.unsure && <Unsure span={thread.unsure} scale={scale} y={y} />}
      {splitAtToday(thread.strands, today).map((part) => (
        <StrandMark key={part.character + part.from} part={part} scale={scale} y={y} />
      ))}
      {props.words !== false &&
        seen.map((one, index) => (
          <Sighting
            key={one.what}
            x={middleOf(scale, one.day)}
            y={10}
            word={spokenWord(seen, index, scale) ? t(`milestone.${one.what}`) : undefined}
          />
        ))}
      {due && dueX !== undefined && dueX < high && (
        <DueMark
          x={dueX}
          y={10}
          word={due.text}
          late={due.late}
          room={high - due.text.length * 6}
        />
      )}
      {thread.end && within(startOf(scale, thread.end), low, high) && (
        <EndMark x={middleOf(scale, thread.end)} y={y} word={props.endWord ?? ''} />
      )}
    </g>
  )
}

const within = (x: number, low: number, high: number) => x >= low && x <= high

const WORTH_A_WORD = new Set([
  'EGGS_SEEN',
  'SEALED_BROOD_SEEN',
  'DRONE_BROOD_SEEN',
  'NOT_FOUND',
  'MARKED',
  'LAST_LOOK_WITHOUT_EGGS',
])

/** A word is written only where the next mark leaves room for it. */
function spokenWord(seen: Thread['seen'], index: number, scale: DayScale): boolean {
  const one = seen[index]
  const next = seen[index + 1]
  if (!one || !WORTH_A_WORD.has(one.what)) return false
  return !next || middleOf(scale, next.day) - middleOf(scale, one.day) > 60
}
