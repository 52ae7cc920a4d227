import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useKey } from '../app/keys'
import { Due } from './Due'
import { CageView } from './draw/CageView'
import { CombPicture } from './draw/CombPicture'
import { Wide } from './draw/Moving'
import { QueenCell } from './draw/QueenCell'
import type { Doing } from './hive'
import type { Outcome, Question, Sureness } from './queries'

const SURENESS: Sureness[] = ['GUESSED', 'FAIRLY', 'SURE']

type Skill = Question['answers'][number]['skill']

type Props = {
  doing: Doing
  words: boolean
  outcome: Outcome | undefined
  onAnswer: (answer: Skill, sureness: Sureness) => void
}

/** A picture, what it may mean, and how sure one is. */
export function QuestionExercise(props: Props) {
  const { question } = props.doing.exercise
  return question ? <Asked {...props} question={question} /> : null
}

function Asked({ doing, words, outcome, onAnswer, question }: Props & { question: Question }) {
  const { t } = useTranslation()
  const [chosen, setChosen] = useState<Skill>()
  const answer = question.answers.find((one) => one.skill === chosen)
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section className="min-w-0">
        <p className="mb-2 font-read text-xl" data-testid="lead">
          {t(`train.read.${doing.exercise.task}`)}
        </p>
        {words ? (
          <ul className="list-disc pl-5 text-lg" data-testid="words">
            {question.said.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        ) : (
          <Picture question={question} doing={doing} />
        )}
      </section>
      <section aria-label={t('train.read.answers')}>
        {outcome && answer ? (
          <div role="status" data-testid="outcome">
            <p className="font-read text-2xl">
              <strong className={outcome.right ? '' : 'text-crown'}>
                {t(outcome.right ? 'train.read.right' : 'train.read.wrong', {
                  truth: outcome.truth,
                  said: answer.text,
                })}
              </strong>
            </p>
            <p className="mt-2">{outcome.why}</p>
            <p className="mt-2 text-sm text-ink-2">
              <Due day={outcome.due} />
            </p>
          </div>
        ) : answer ? (
          <HowSure
            said={answer.text}
            onSure={(sureness) => onAnswer(answer.skill, sureness)}
            onBack={() => setChosen(undefined)}
          />
        ) : (
          <ol className="space-y-2">
            {question.answers.map((one, nth) => (
              <li key={one.skill}>
                <Numbered number={nth + 1} text={one.text} onPress={() => setChosen(one.skill)} />
              </li>
            ))}
          </ol>
        )}
      </section>
    </div>
  )
}

function Numbered({
  number,
  text,
  onPress,
}: {
  number: number
  text: string
  onPress: () => void
}) {
  useKey(String(number), onPress)
  return (
    <button className="act w-full text-left" aria-keyshortcuts={String(number)} onClick={onPress}>
      <span aria-hidden className="mr-3 text-ink-3">
        {number}
      </span>
      {text}
    </button>
  )
}

function HowSure({
  said,
  onSure,
  onBack,
}: {
  said: string
  onSure: (sureness: Sureness) => void
  onBack: () => void
}) {
  const { t } = useTranslation()
  useKey('Backspace', onBack)
  return (
    <>
      <p className="mb-2 font-read text-xl">{t('train.read.howSure', { said })}</p>
      <ol className="space-y-2">
        {SURENESS.map((one, nth) => (
          <li key={one}>
            <Numbered
              number={nth + 1}
              text={t(`train.read.sureness.${one}`)}
              onPress={() => onSure(one)}
            />
          </li>
        ))}
      </ol>
      <button className="act mt-3" onClick={onBack}>
        {t('train.read.other')}
      </button>
    </>
  )
}

function Picture({ question, doing }: { question: Question; doing: Doing }) {
  const { t } = useTranslation()
  const name = t(`train.read.${doing.exercise.task}`)
  if (question.rows)
    return (
      <Wide>
        <CombPicture name={name} rows={question.rows} cells={question.cells} />
      </Wide>
    )
  if (question.behaviours)
    return (
      <Wide>
        <CageView
          name={name}
          behaviours={question.behaviours}
          seed={doing.exercise.exercise.seed ?? 0}
        />
        <p className="mt-2">{t('train.read.watched', { minutes: question.watched ?? 0 })}</p>
      </Wide>
    )
  return (
    <svg
      viewBox="-40 -6 120 90"
      className="max-h-[26rem] w-full border border-ink"
      role="img"
      aria-label={name}
    >
      <rect x={-140} y={-6} width={320} height={90} fill="#efe6d2" />
      <rect x={-140} y={-6} width={320} height={8} fill="#c3a473" />
      {question.look && <QueenCell look={question.look} />}
    </svg>
  )
}
