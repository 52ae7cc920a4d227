import { useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { NavLink, Outlet, useNavigate } from 'react-router'
import { useDays } from '../settings/queries'
import { RecordProvider } from '../outbox/RecordContext'
import { useSending } from '../outbox/useRecord'
import { Help } from './Help'
import { KeysProvider, useKey } from './keys'
import { Outcome } from './Outcome'
import { PLACES } from './places'
import { SignedIn } from './SignedIn'
import { TopLine } from './TopLine'

/** What stands around every screen of somebody signed in. */
export function Shell() {
  return (
    <KeysProvider>
      <RecordProvider>
        <Frame />
      </RecordProvider>
    </KeysProvider>
  )
}

function Frame() {
  const { t } = useTranslation()
  useSending()
  const [help, setHelp] = useState(false)
  useDays()
  const find = useRef<HTMLInputElement>(null)
  useKey('/', () => find.current?.focus())
  useKey('?', () => setHelp(true))
  return (
    <div className="md:flex">
      {/* before the screens: a screen may give a key another meaning */}
      {PLACES.map((place) => (
        <PlaceKey key={place.to} place={place} />
      ))}
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

function PlaceKey({ place }: { place: (typeof PLACES)[number] }) {
  const navigate = useNavigate()
  useKey(place.short, () => void navigate(place.to))
  return null
}
