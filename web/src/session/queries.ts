import { queryOptions, useQuery, type QueryClient } from '@tanstack/react-query'
import { createContext, useContext } from 'react'
import { answered, api, Refused } from '../api/client'
import type { Session } from '../api/types'
import { forget } from './keeping'

/** Who is signed in; null if nobody is. */
export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async (): Promise<Session | null> => {
    try {
      return await answered(api.GET('/api/v1/session'))
    } catch (thrown) {
      if (thrown instanceof Refused && thrown.status === 401) return null
      throw thrown
    }
  },
  staleTime: 30_000,
})

/** Whether an operation can be founded here: before anybody can sign in. */
export const foundingQuery = queryOptions({
  queryKey: ['founding'],
  queryFn: () => answered(api.GET('/api/v1/founding')),
  staleTime: Infinity,
})

export const useMaybeSession = () => useQuery(sessionQuery)

export const SessionContext = createContext<Session | undefined>(undefined)

/** The session, on screens that are only shown to somebody signed in. */
export function useSession(): Session {
  const session = useContext(SessionContext)
  if (!session) throw new Error('useSession outside of a signed-in screen')
  return session
}

/** Shows the screens of another person, or the door; nothing of the one before is kept. */
export function changePerson(client: QueryClient, session: Session | null): void {
  void forget()
  client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' })
  client.setQueryData(sessionQuery.queryKey, session)
}
