import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, Navigate, useNavigate, useParams } from 'react-router'
import { useKey } from '../app/keys'
import { useDraft } from '../outbox/useDraft'
import { Findings, Page } from '../ui/Page'
import { actsOf, begun, doingKey, type Doing } from './hive'
import { QuestionExercise } from './QuestionExercise'
import { nextExercise, sendDone, TASKS, type Outcome, type Task } from './queries'
import { SearchExercise } from './SearchExercise'
import { SearchResult } from './SearchResult'
import { WISHES, type Wishes } from './TrainerScreen'

type Sent = { whole: Doing; body: Parameters<typeof sendDone>[0] }

/** One exercise after the other, of one task. */
export default function ExerciseScreen() {
  const task = TASKS.find((one) => one === useParams().task)
  return task ? <Exercises key={task} task={task} /> : <Navigate to="/trainer" replace />
}

function Exercises({ task }: { task: Task }) {
  const { t } = useTranslation()
  const navigate = useNavigate()
  const client = useQueryClient()
  const [wishes] = useDraft<Wishes>('trainer-wishes', WISHES)
  const [kept, setDoing, clear] = useDraft<Doing | undefined>(doingKey(task), undefined)
  const [finished, setFinished] = useState<{ doing: Doing; outcome: Outcome }>()
  const doing = finished?.doing ?? kept
  const outcome = finished?.outcome

  const next = useMutation({
    mutationFn: () =>
      nextExercise({
        task,
        ...(wishes.level ? { level: wishes.level } : {}),
        ...(wishes.season ? { season: wishes.season } : {}),
      }),
    onSuccess: (exercise) => {
      setFinished(undefined)
      setDoing(begun(exercise, crypto.randomUUID(), Date.now()))
    },
  })
  const done = useMutation({
    mutationFn: ({ body }: Sent) => sendDone(body),
    onSuccess: (worth, { whole }) => {
      setFinished({ doing: whole, outcome: worth })
      // it is kept now: a reload does not ask it again
      clear()
      void client.invalidateQueries({ queryKey: ['trainer'] })
    },
  })
  const { mutate: ask } = next
  useEffect(() => {
    if (!doing) ask()
    // once, when the screen opens; afterwards one asks oneself
    // oxlint-disable-next-line exhaustive-deps
  }, [ask])
  const leave = useCallback(() => void navigate('/trainer'), [navigate])

  const title = t(`train.task.${task}`)
  return (
    <Page
      title={title}
      acts={
        <Link className="underline" to="/trainer">
          {t('train.back')}
        </Link>
      }
    >
      <Findings error={next.error ?? done.error} />
      {next.error != null && (
        <button className="act mt-3" onClick={() => ask()}>
          {t('train.again')}
        </button>
      )}
      {!doing && next.isPending && <p role="status">{t('connection.loading')}</p>}
      {doing && task === 'FIND' && !outcome && (
        <SearchExercise
          key={doing.id}
          doing={doing}
          words={wishes.words}
          sending={done.isPending}
          onChange={setDoing}
          onDone={(whole) =>
            done.mutate({
              whole,
              body: {
                id: whole.id,
                exercise: whole.exercise.exercise,
                acts: actsOf(whole),
                beside: Math.min(MOST_BESIDE, whole.beside),
                seconds: secondsOf(whole),
              },
            })
          }
        />
      )}
      {doing && task === 'FIND' && outcome?.search && (
        <SearchResult doing={doing} outcome={outcome} scored={outcome.search} />
      )}
      {doing && task !== 'FIND' && (
        <QuestionExercise
          key={doing.id}
          doing={doing}
          words={wishes.words}
          outcome={outcome}
          onAnswer={(answer, sureness) =>
            done.mutate({
              whole: doing,
              body: {
                id: doing.id,
                exercise: doing.exercise.exercise,
                answer,
                sureness,
                seconds: secondsOf(doing),
              },
            })
          }
        />
      )}
      {outcome && <NextOne asking={next.isPending} onNext={ask} onLeave={leave} />}
    </Page>
  )
}

const MOST_BESIDE = 1000
const LONGEST_SECONDS = 86_400
const secondsOf = (doing: Doing) =>
  Math.max(0, Math.min(LONGEST_SECONDS, Math.round((Date.now() - doing.begunAt) / 1000)))

function NextOne({
  asking,
  onNext,
  onLeave,
}: {
  asking: boolean
  onNext: () => void
  onLeave: () => void
}) {
  const { t } = useTranslation()
  useKey('n', () => !asking && onNext())
  useKey('e', onLeave)
  return (
    <p className="mt-5 flex flex-wrap gap-3">
      <button className="act act-main" aria-keyshortcuts="n" disabled={asking} onClick={onNext}>
        {t('train.next')} <span aria-hidden>(n)</span>
      </button>
      <button className="act" aria-keyshortcuts="e" onClick={onLeave}>
        {t('train.enough')} <span aria-hidden>(e)</span>
      </button>
    </p>
  )
}
