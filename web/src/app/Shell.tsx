import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { NavLink, Outlet, useNavigate } from 'react-router'
import { Dialog, Popover } from 'radix-ui'
import { answered, api } from '../api/client'
import { useLastAct, useParcels, useRecord, useSending } from '../outbox/useRecord'
import { changePerson, useSession } from '../session/queries'
import { longDay } from '../time/days'

/** At the desk every place stands in the list; in the yard those that are planned at the desk leave room. */
const PLACES: readonly { to: string; key: string; short: string; desk?: true }[] = [
  { to: '/', key: 'round', short: 'r' },
  { to: '/season', key: 'season', short: 's', desk: true },
  { to: '/orders', key: 'orders', short: 'o', desk: true },
  { to: '/builders', key: 'builders', short: 'b', desk: true },
  { to: '/grafts', key: 'grafts', short: 'g' },
  { to: '/yards', key: 'yards', short: 'y' },
  { to: '/colonies', key: 'colonies', short: 'c' },
  { to: '/queens', key: 'queens', short: 'q' },
  { to: '/files', key: 'files', short: 'f' },
]

export function Shell() {
  const { t } = useTranslation()
  useSending()
  const [help, setHelp] = useState(false)
  const find = useShortcuts(() => setHelp(true))
  return (
    <div className="md:flex">
      <a href="#main" className="act fixed top-1 left-1 z-50 -translate-y-16 focus:translate-y-0">
        {t('nav.skip')}
      </a>
      <nav
        aria-label={t('nav.name')}
        className="fixed inset-x-0 bottom-0 z-30 flex border-t border-rule bg-paper md:sticky md:top-0 md:h-screen md:w-32 md:shrink-0 md:flex-col md:border-t-0 md:border-r md:pt-5"
      >
        <p className="mb-6 hidden px-5 font-read text-lg leading-5 font-bold text-crown md:block">
          Vivid
          <br />
          Crown
        </p>
        {PLACES.map((place) => (
          <NavLink
            key={place.to}
            to={place.to}
            end={place.to === '/'}
            aria-keyshortcuts={place.short}
            className={({ isActive }) =>
              `${place.desk ? 'hidden md:flex' : 'flex'} min-h-12 flex-1 items-center justify-center border-crown md:min-h-11 md:flex-none md:justify-start md:border-l-4 md:pl-4 ${
                isActive ? 'font-bold md:border-crown' : 'text-ink-2 md:border-transparent'
              }`
            }
          >
            {t(`nav.${place.key}`)}
          </NavLink>
        ))}
        <div className="mt-auto hidden px-5 pb-4 text-sm text-ink-2 md:block">
          <SignedIn />
        </div>
      </nav>
      <div className="min-w-0 flex-1">
        <TopLine find={find} />
        <main id="main" className="px-4 pt-2 pb-40 md:pt-4 md:px-6 md:pb-24">
          <Outlet />
        </main>
        <Outcome />
      </div>
      <Help open={help} onOpenChange={setHelp} />
    </div>
  )
}

function SignedIn() {
  const { t } = useTranslation()
  const session = useSession()
  const client = useQueryClient()
  const signOut = useMutation({
    mutationFn: () => answered(api.DELETE('/api/v1/session')),
    onSuccess: () => changePerson(client, null),
  })
  return (
    <>
      <span className="hidden md:block">{session.name}</span>
      <NavLink className="mr-3 inline-block min-h-8 underline" to="/settings">
        {t('nav.settings')}
      </NavLink>
      <button className="min-h-8 underline" onClick={() => signOut.mutate()}>
        {t('nav.signOut')}
      </button>
    </>
  )
}

function TopLine({ find }: { find: React.RefObject<HTMLInputElement | null> }) {
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
      <Find find={find} className="ml-auto hidden md:block" />
      <More />
    </div>
  )
}

function Find(props: { find?: React.RefObject<HTMLInputElement | null>; className: string }) {
  const { t } = useTranslation()
  const navigate = useNavigate()
  return (
    <form
      role="search"
      className={props.className}
      onSubmit={(event) => {
        event.preventDefault()
        const text = String(new FormData(event.currentTarget).get('find')).trim()
        if (text) void navigate(`/queens?find=${encodeURIComponent(text)}`)
      }}
    >
      <input
        ref={props.find}
        name="find"
        className="field w-44 py-1"
        placeholder={t('nav.find')}
        aria-label={t('nav.findLabel')}
        aria-keyshortcuts="/"
      />
    </form>
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
          <p className="min-h-11 content-center">
            <SignedIn />
          </p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** What was just recorded, with undo; what waits to be sent; what the server refused. */
function Outcome() {
  const { t } = useTranslation()
  const last = useLastAct()
  const parcels = useParcels()
  const { undo, keep, takeBack, sendAll } = useRecord()
  const refused = parcels.filter((parcel) => parcel.refusal)
  const waiting = parcels.length - refused.length
  useKey('z', () => last && void undo(last))
  return (
    <div
      className="fixed inset-x-0 bottom-12 z-20 md:bottom-0 md:left-32"
      role="status"
      aria-live="polite"
    >
      {refused.map((parcel) => (
        <div
          key={parcel.id}
          className="border-t-2 border-crown bg-sheet px-4 py-3"
          data-testid="refused"
        >
          <p className="font-bold">{parcel.label}</p>
          {(parcel.refusal?.findings.length
            ? parcel.refusal.findings.map((one) => one.message)
            : [parcel.refusal?.message]
          ).map((message) => (
            <p key={message} className="text-crown">
              {message}
            </p>
          ))}
          <div className="mt-2 flex gap-3">
            {parcel.refusal?.status === 409 && (
              <button className="act act-main" onClick={() => void keep(parcel.id)}>
                {t('outbox.keep')}
              </button>
            )}
            <button className="act" onClick={() => void takeBack(parcel.id).then(sendAll)}>
              {t('outbox.drop')}
            </button>
          </div>
        </div>
      ))}
      {(last || waiting > 0) && refused.length === 0 && (
        <div className="flex items-center gap-4 border-t border-rule bg-sheet px-4 py-2">
          {last && (
            <>
              <span className="min-w-0 truncate">{last.label}</span>
              <button className="act" aria-keyshortcuts="z" onClick={() => void undo(last)}>
                {t('outbox.undo')}
              </button>
            </>
          )}
          {waiting > 0 && (
            <span className="ml-auto text-sm text-ink-2">
              {t('outbox.waiting', { count: waiting })}
            </span>
          )}
        </div>
      )}
    </div>
  )
}

function Help({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { t } = useTranslation()
  const keys = [
    ...PLACES.map((place) => [place.short, t(`nav.${place.key}`)] as const),
    ['/', t('nav.findLabel')],
    ['z', t('outbox.undo')],
    ['?', t('help.title')],
  ] as const
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Dialog.Content
          className="fixed top-24 left-1/2 z-50 w-80 -translate-x-1/2 border border-ink bg-sheet p-5"
          aria-describedby={undefined}
        >
          <Dialog.Title className="mb-3 text-xl">{t('help.title')}</Dialog.Title>
          <dl className="grid grid-cols-[3rem_1fr] gap-y-1">
            {keys.map(([key, does]) => (
              <div key={key} className="contents">
                <dt className="font-bold">{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="act mt-4">{t('help.close')}</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

/** Calls back on a single key, unless somebody is typing or holds a modifier. */
export function useKey(key: string, act: () => void): void {
  const latest = useRef(act)
  useEffect(() => {
    latest.current = act
  })
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement && event.target.matches('input, textarea, select')
      if (event.key !== key || typing || event.ctrlKey || event.metaKey || event.altKey) return
      event.preventDefault()
      latest.current()
    }
    document.addEventListener('keydown', pressed)
    return () => document.removeEventListener('keydown', pressed)
  }, [key])
}

/** The places' own keys, but not where a screen has given the key another meaning. */
function usePlaceKeys(go: (to: string) => void): void {
  const latest = useRef(go)
  useEffect(() => {
    latest.current = go
  })
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement && event.target.matches('input, textarea, select')
      if (typing || event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return
      const place = PLACES.find((one) => one.short === event.key)
      if (!place) return
      event.preventDefault()
      latest.current(place.to)
    }
    window.addEventListener('keydown', pressed)
    return () => window.removeEventListener('keydown', pressed)
  }, [])
}

function useShortcuts(help: () => void) {
  const navigate = useNavigate()
  const find = useRef<HTMLInputElement>(null)
  usePlaceKeys((to) => void navigate(to))
  useKey('/', () => find.current?.focus())
  useKey('?', help)
  return find
}
