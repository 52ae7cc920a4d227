import type { ReactNode } from 'react'

/** A question behind a line, answered by one of a few taps. */
export function AskLine<Answer extends string>({
  ask,
  answers,
  given,
  says,
  onAnswer,
}: {
  ask: string
  answers: readonly Answer[]
  given: Answer | undefined
  says: (answer: Answer) => ReactNode
  onAnswer: (answer: Answer) => void
}) {
  return (
    <details className="inline">
      <summary className="ml-3 inline-block min-h-8 underline decoration-dotted underline-offset-4">
        {ask}
      </summary>
      <span className="mt-1 flex flex-wrap gap-2">
        {answers.map((answer) => (
          <button
            key={answer}
            className="act"
            aria-pressed={given === answer}
            onClick={() => onAnswer(answer)}
          >
            {says(answer)}
          </button>
        ))}
      </span>
    </details>
  )
}
