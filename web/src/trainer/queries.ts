import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'
import type { components } from '../api/schema'

type Schemas = components['schemas']

export type TrainerPage = Schemas['TrainerPage']
export type TaskProgress = Schemas['TaskProgress']
export type Exercise = Schemas['ExerciseView']
export type Task = Exercise['task']
export type TrainerHive = NonNullable<Exercise['hive']>
export type Question = NonNullable<Exercise['question']>
export type CellSeen = Question['cells'][number]
export type Seen = Schemas['TrainerLook']
export type Outcome = Schemas['DoneView']
export type Scored = NonNullable<Outcome['search']>
export type Sureness = NonNullable<Schemas['DoneAsked']['sureness']>
export type TrainerSeason = NonNullable<Schemas['NextAsked']['season']>

export const TASKS: readonly Task[] = ['FIND', 'PATTERN', 'CELL_KIND', 'CELL_LOOK', 'CAGE']

export const trainerQuery = queryOptions({
  queryKey: ['trainer'],
  queryFn: () => answered(api.GET('/api/v1/trainer')),
})

export const nextExercise = (asked: Schemas['NextAsked']) =>
  answered(api.POST('/api/v1/trainer/exercises', { body: asked }))

export const lookAt = (exercise: Exercise['exercise'], acts: Schemas['ActInput'][]) =>
  answered(api.POST('/api/v1/reckon/trainer/look', { body: { exercise, acts } }))

export const sendDone = (done: Schemas['DoneAsked']) =>
  answered(api.POST('/api/v1/trainer/done', { body: done }))
