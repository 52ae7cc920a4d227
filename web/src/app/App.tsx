import { QueryCache, QueryClient, useQuery } from '@tanstack/react-query'
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client'
import { lazy, Suspense, type ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { createBrowserRouter, RouterProvider } from 'react-router'
import { Refused } from '../api/client'
import { RoundScreen } from '../round/RoundScreen'
import { foundingQuery, SessionContext, useMaybeSession } from '../session/queries'
import { SignIn } from '../session/SignIn'
import { Broken } from './Broken'
import { Shell } from './Shell'
import { keeping } from '../session/keeping'

const JoinScreen = lazy(() => import('../people/JoinScreen'))
const FoundingScreen = lazy(() => import('../first/FoundingScreen'))
const GraftsScreen = lazy(() => import('../rearing/GraftsScreen'))
const PlanScreen = lazy(() => import('../rearing/PlanScreen'))
const GraftScreen = lazy(() => import('../rearing/GraftScreen'))
const YardsScreen = lazy(() => import('../yards/YardsScreen'))
const YardScreen = lazy(() => import('../yards/YardScreen'))
const QueensScreen = lazy(() => import('../queens/QueensScreen'))
const QueenScreen = lazy(() => import('../queens/QueenScreen'))
const FilesScreen = lazy(() => import('../files/FilesScreen'))
const ColoniesScreen = lazy(() => import('../colonies/ColoniesScreen'))
const ColonyScreen = lazy(() => import('../colonies/ColonyScreen'))
const FrameScreen = lazy(() => import('../colonies/FrameScreen'))
const ReadScreen = lazy(() => import('../colonies/ReadScreen'))
const SearchScreen = lazy(() => import('../colonies/SearchScreen'))
const SeasonScreen = lazy(() => import('../season/SeasonScreen'))
const OrdersScreen = lazy(() => import('../orders/OrdersScreen'))
const BuildersScreen = lazy(() => import('../builders/BuildersScreen'))
const FirstStepsScreen = lazy(() => import('../first/FirstStepsScreen'))
const SplitsScreen = lazy(() => import('../splits/SplitsScreen'))
const MakingScreen = lazy(() => import('../splits/MakingScreen'))
const IntroductionsScreen = lazy(() => import('../introductions/IntroductionsScreen'))
const CageScreen = lazy(() => import('../introductions/CageScreen'))
const MitesScreen = lazy(() => import('../mites/MitesScreen'))
const SettingsScreen = lazy(() => import('../settings/SettingsScreen'))
const TrainerScreen = lazy(() => import('../trainer/TrainerScreen'))
const ExerciseScreen = lazy(() => import('../trainer/ExerciseScreen'))

const client: QueryClient = new QueryClient({
  // An expired session shows on any question; the door then asks to sign in again.
  queryCache: new QueryCache({
    onError: (error) => {
      if (error instanceof Refused && error.status === 401) client.setQueryData(['session'], null)
    },
  }),
  defaultOptions: {
    // a form without a signal is not held back: what it says goes into the outbox
    mutations: { networkMode: 'always' },
    queries: {
      staleTime: 10_000,
      gcTime: 7 * 24 * 3600_000,
      // A refusal does not get better by asking again; a lost signal may.
      retry: (count, error) => !(error instanceof Refused) && count < 2,
    },
  },
})

const later = (screen: ReactNode) => <Suspense fallback={null}>{screen}</Suspense>

const router = createBrowserRouter([
  {
    element: <Shell />,
    children: [
      {
        // what goes wrong on one screen leaves the way to the others
        errorElement: <Broken />,
        children: [
          { path: '/', element: <RoundScreen /> },
          { path: '/grafts', element: later(<GraftsScreen />) },
          { path: '/grafts/plan', element: later(<PlanScreen />) },
          { path: '/grafts/:id', element: later(<GraftScreen />) },
          { path: '/yards', element: later(<YardsScreen />) },
          { path: '/yards/:id', element: later(<YardScreen />) },
          { path: '/colonies', element: later(<ColoniesScreen />) },
          { path: '/colonies/:id', element: later(<ColonyScreen />) },
          { path: '/colonies/:id/read', element: later(<ReadScreen />) },
          { path: '/colonies/:id/search', element: later(<SearchScreen />) },
          { path: '/frames/:id', element: later(<FrameScreen />) },
          { path: '/queens', element: later(<QueensScreen />) },
          { path: '/queens/:id', element: later(<QueenScreen />) },
          { path: '/season', element: later(<SeasonScreen />) },
          { path: '/orders', element: later(<OrdersScreen />) },
          { path: '/builders', element: later(<BuildersScreen />) },
          { path: '/files', element: later(<FilesScreen />) },
          { path: '/splits', element: later(<SplitsScreen />) },
          { path: '/introductions', element: later(<IntroductionsScreen />) },
          { path: '/introductions/:id', element: later(<CageScreen />) },
          { path: '/mites', element: later(<MitesScreen />) },
          { path: '/splits/making/:id', element: later(<MakingScreen />) },
          { path: '/begin', element: later(<FirstStepsScreen />) },
          { path: '/settings', element: later(<SettingsScreen />) },
          { path: '/trainer', element: later(<TrainerScreen />) },
          { path: '/trainer/:task', element: later(<ExerciseScreen />) },
        ],
      },
    ],
  },
])

export function App() {
  return (
    <PersistQueryClientProvider
      client={client}
      persistOptions={keeping}
      onSuccess={() => void client.invalidateQueries()}
    >
      <Door />
    </PersistQueryClientProvider>
  )
}

/** Nobody is signed in: the door; on the very first day the founding. */
function Outside() {
  const founding = useQuery(foundingQuery)
  if (founding.data?.open)
    return later(<FoundingScreen onFounded={() => void router.navigate('/begin')} />)
  return <SignIn />
}

/** Sign-in stands before every screen; the address stays, so one goes on where one was. */
function Door() {
  const { t } = useTranslation()
  const session = useMaybeSession()
  if (session.data === undefined) {
    return (
      <main className="p-8">
        <p role="status">
          {session.isError ? t('connection.unreachable') : t('connection.loading')}
        </p>
      </main>
    )
  }
  // also for somebody who is signed in: a link for a new password, or one opened on a device that others use
  const secret = window.location.pathname.match(/^\/join\/(.+)$/)?.[1]
  if (secret) return later(<JoinScreen secret={secret} onIn={() => window.location.assign('/')} />)
  if (session.data === null) return <Outside />
  return (
    <SessionContext value={session.data}>
      <RouterProvider router={router} />
    </SessionContext>
  )
}
