import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Popover } from 'radix-ui'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { NavLink } from 'react-router'
import { answered, api } from '../api/client'
import { useRecording } from '../outbox/RecordContext'
import { useSession } from '../session/queries'
import { longDay, sayDay } from '../time/days'
import { TextField } from '../ui/Fields'
import { Find } from './Find'
import { PLACES } from './places'
import { SignedIn } from './SignedIn'

export function TopLine({ find }: { find: React.RefObject<HTMLInputElement | null> }) {
  const { t } = useTranslation()
  const session = useSession()
  const client = useQueryClient()
  const step = useMutation({
    mutationFn: () => answered(api.POST('/api/v1/demo/step')),
    onSuccess: () => client.invalidateQueries(),
  })
  return (
    <div className="no-print flex items-center gap-x-4 border-b border-rule px-4 py-1 text-sm md:px-6 md:py-2">
      {session.demo && (
        <span className="flex items-center gap-3">
          <span>
            <span className="hidden md:inline">{t('demo.day')} </span>
            <strong data-testid="demo-day">{longDay(session.today)}</strong>
          </span>
          <button className="act py-1" disabled={step.isPending} onClick={() => step.mutate()}>
            {t('demo.step')}
          </button>
        </span>
      )}
      <WritingUp />
      <Find find={find} className="ml-auto hidden md:block" />
      <More />
    </div>
  )
}

/** Which day is written down: today, or the evening before that one gets round to only now. */
function WritingUp() {
  const { t } = useTranslation()
  const { day, isToday } = useRecording()
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`act py-1 ${isToday ? 'hidden md:block' : 'act-main'}`}
        data-testid="writing-up"
      >
        {isToday ? t('writingUp.today') : t('writingUp.other', { day: sayDay(day) })}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={8}
          className="z-40 w-72 border border-ink bg-sheet p-4"
        >
          <DayField />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

function DayField() {
  const { t } = useTranslation()
  const { today } = useSession()
  const { day, isToday, setDay } = useRecording()
  return (
    <>
      <TextField
        name={t('writingUp.how')}
        type="date"
        max={today}
        value={day}
        onChange={(next) => next && setDay(next)}
      />
      {!isToday && (
        <button className="act mt-3" onClick={() => setDay(today)}>
          {t('writingUp.back')}
        </button>
      )}
    </>
  )
}

/** On the phone: what is seldom wanted in the yard, behind one target. */
function More() {
  const { t } = useTranslation()
  const [open, setOpen] = useState(false)
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="act ml-auto py-1 md:hidden">{t('nav.more')}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          className="z-40 w-64 border border-ink bg-sheet p-4 md:hidden"
          onClick={(event) => {
            if (event.target instanceof HTMLAnchorElement) setOpen(false)
          }}
          onSubmit={() => setOpen(false)}
        >
          <Find className="" />
          <ul className="mt-2">
            {PLACES.filter((place) => place.desk).map((place) => (
              <li key={place.to}>
                <NavLink className="flex min-h-11 items-center underline" to={place.to}>
                  {t(`nav.${place.key}`)}
                </NavLink>
              </li>
            ))}
          </ul>
          <div className="my-2">
            <DayField />
          </div>
          <p className="min-h-11 content-center">
            <SignedIn />
          </p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
