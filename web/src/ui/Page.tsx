import type { UseQueryResult } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Refused } from '../api/client'
import { Said } from './Said'

/** Heading of a screen: the name of what is shown, one line about it, acts at the right. */
export function Page(props: {
  title: string
  lead?: ReactNode
  acts?: ReactNode
  children: ReactNode
}) {
  return (
    <>
      <title>{`${props.title} · Vivid Crown`}</title>
      <header className="mb-4 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 className="text-3xl">{props.title}</h1>
        {props.lead && <p className="text-ink-2">{props.lead}</p>}
        {props.acts && (
          <div className="no-print ml-auto flex flex-wrap items-center gap-3">{props.acts}</div>
        )}
      </header>
      {props.children}
    </>
  )
}

/** Draws every state of a question to the server: loading, refused, unreachable, and the answer. */
export function Answer<T>({
  query,
  children,
}: {
  query: UseQueryResult<T>
  children: (data: T) => ReactNode
}) {
  const { t } = useTranslation()
  if (query.data !== undefined) return <>{children(query.data)}</>
  if (query.isPending && query.fetchStatus !== 'paused')
    return <p role="status">{t('connection.loading')}</p>
  return (
    <p role="alert" className="font-semibold text-crown">
      {query.error instanceof Refused ? query.error.message : t('connection.unreachable')}
    </p>
  )
}

/** Fetches the next part of a long list, while there is one. */
export function More({
  query,
  name,
}: {
  query: { hasNextPage: boolean; isFetchingNextPage: boolean; fetchNextPage: () => unknown }
  name: string
}) {
  if (!query.hasNextPage) return null
  return (
    <button
      className="act my-4"
      disabled={query.isFetchingNextPage}
      onClick={() => void query.fetchNextPage()}
    >
      {name}
    </button>
  )
}

export function Findings({ error }: { error: unknown }) {
  const { t } = useTranslation()
  if (!error) return null
  const messages =
    error instanceof Refused
      ? error.findings.length > 0
        ? error.findings.map((finding) => finding.message)
        : [error.message]
      : [error instanceof Said ? error.message : t('connection.unreachable')]
  return (
    <div role="alert">
      <ul className="space-y-1 font-semibold text-crown">
        {messages.map((message) => (
          <li key={message}>{message}</li>
        ))}
      </ul>
    </div>
  )
}
