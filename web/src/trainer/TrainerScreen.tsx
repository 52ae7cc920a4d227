import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { answered, api } from '../api/client'
import { useKey } from '../app/keys'
import { useDraft } from '../outbox/useDraft'
import { Answer, Findings, Page } from '../ui/Page'
import { Curves } from './Curves'
import { doingKey, type Doing } from './hive'
import { TASKS, trainerQuery, type Task, type TrainerPage, type TrainerSeason } from './queries'

const LEVELS = [1, 2, 3]
const SEASONS: TrainerSeason[] = ['SPRING', 'SUMMER', 'AUTUMN']

/** How somebody wishes to train: kept on the device. */
export type Wishes = {
  level: number | undefined
  season: TrainerSeason | undefined
  words: boolean
}

export const WISHES: Wishes = { level: undefined, season: undefined, words: false }

/** What one knows, what is weak, and what to train next. */
export default function TrainerScreen() {
  const { t } = useTranslation()
  const query = useQuery(trainerQuery)
  return (
    <Page title={t('train.title')}>
      <Answer query={query}>{(page) => <Trainer page={page} />}</Answer>
    </Page>
  )
}

function Trainer({ page }: { page: TrainerPage }) {
  const { t } = useTranslation()
  const [wishes, setWishes] = useDraft<Wishes>('trainer-wishes', WISHES)
  const weakest = page.weak[0]
  return (
    <>
      <p className="max-w-3xl font-read text-xl" data-testid="lead">
        {weakest
          ? t('train.weak', {
              count: page.weak.length,
              names: page.weak
                .slice(0, 3)
                .map((one) => one.text)
                .join('; '),
            })
          : t('train.nothingWeak')}
      </p>
      <ul className="mt-4 max-w-5xl border-t border-rule">
        {TASKS.map((task, nth) => (
          <TaskRow key={task} task={task} number={nth + 1} page={page} />
        ))}
      </ul>
      <WishesForm wishes={wishes} onChange={setWishes} />
      <Compared shown={page.shown} alone={page.shown && page.crew.length === 0} />
    </>
  )
}

function TaskRow({ task, number, page }: { task: Task; number: number; page: TrainerPage }) {
  const { t } = useTranslation()
  const navigate = useNavigate()
  useKey(String(number), () => void navigate(`/trainer/${task}`))
  const [doing] = useDraft<Doing | undefined>(doingKey(task), undefined)
  const own = page.tasks.find((one) => one.task === task)
  const due = page.weak.filter((one) => one.task === task).length
  return (
    <li className="grid items-center gap-x-4 gap-y-1 border-b border-rule py-2 md:grid-cols-[16rem_1fr_auto]">
      <span>
        <strong>{t(`train.task.${task}`)}</strong>
        <span className="block text-sm text-ink-2">
          {t('train.level', { level: own?.level ?? 1 })}
          {due > 0 && ` · ${t('train.due', { count: due })}`}
        </span>
      </span>
      <Curves
        task={t(`train.task.${task}`)}
        lines={[
          { name: t('train.you'), points: own?.points ?? [] },
          ...page.crew.map((one) => ({
            name: one.name,
            points: one.tasks.find((other) => other.task === task)?.points ?? [],
          })),
        ]}
      />
      <button
        className="act"
        aria-keyshortcuts={String(number)}
        onClick={() => void navigate(`/trainer/${task}`)}
      >
        <span aria-hidden className="mr-2 text-ink-3">
          {number}
        </span>
        {t(doing ? 'train.goOn' : `train.begin.${task}`)}
      </button>
    </li>
  )
}

function WishesForm({ wishes, onChange }: { wishes: Wishes; onChange: (next: Wishes) => void }) {
  const { t } = useTranslation()
  return (
    <fieldset className="mt-5 flex flex-wrap items-end gap-4">
      <legend className="mb-1 text-sm text-ink-2">{t('train.wishes')}</legend>
      <label className="w-48">
        <span className="block text-sm text-ink-2">{t('train.difficulty')}</span>
        <select
          className="field"
          value={wishes.level ?? ''}
          onChange={(event) =>
            onChange({ ...wishes, level: Number(event.target.value) || undefined })
          }
        >
          <option value="">{t('train.asItComes')}</option>
          {LEVELS.map((level) => (
            <option key={level} value={level}>
              {t(`train.difficulties.${level}`)}
            </option>
          ))}
        </select>
      </label>
      <label className="w-40">
        <span className="block text-sm text-ink-2">{t('train.season')}</span>
        <select
          className="field"
          value={wishes.season ?? ''}
          onChange={(event) =>
            onChange({
              ...wishes,
              season: SEASONS.find((one) => one === event.target.value),
            })
          }
        >
          <option value="">{t('train.anySeason')}</option>
          {SEASONS.map((season) => (
            <option key={season} value={season}>
              {t(`train.seasons.${season}`)}
            </option>
          ))}
        </select>
      </label>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-6"
          checked={wishes.words}
          onChange={(event) => onChange({ ...wishes, words: event.target.checked })}
        />
        {t('train.inWords')}
      </label>
    </fieldset>
  )
}

function Compared({ shown, alone }: { shown: boolean; alone: boolean }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const [error, setError] = useState<unknown>()
  // what was ticked stands at once, before the server has heard of it
  const [wish, setWish] = useState<boolean>()
  const show = useMutation({
    mutationFn: (next: boolean) =>
      answered(api.PUT('/api/v1/trainer/shown', { body: { shown: next } })),
    onSettled: async () => {
      await client.invalidateQueries({ queryKey: ['trainer'] })
      setWish(undefined)
    },
    onError: setError,
  })
  return (
    <section className="mt-5">
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-6"
          checked={wish ?? shown}
          onChange={(event) => {
            setError(undefined)
            setWish(event.target.checked)
            show.mutate(event.target.checked)
          }}
        />
        {t('train.compare')}
      </label>
      <p className="text-sm text-ink-2">{t(alone ? 'train.alone' : 'train.compareHow')}</p>
      <Findings error={error} />
    </section>
  )
}
