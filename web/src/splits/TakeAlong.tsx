import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { v7 as uuidv7 } from 'uuid'
import { Refused } from '../api/client'
import type { Deed } from '../api/types'
import { useTell } from '../outbox/useRecord'

/** A plan becomes a sheet that is followed at the hives. Its name stays, so that asking twice begins it once. */
export function useTakeAlong(deedOf: (split: string) => Deed) {
  const [split] = useState(() => uuidv7())
  const navigate = useNavigate()
  const client = useQueryClient()
  const tell = useTell()
  return useMutation({
    mutationFn: () => tell([deedOf(split)]),
    onSuccess: async () => {
      await client.invalidateQueries()
      await navigate(`/splits/making/${split}`)
    },
  })
}

type MoveSheet = Extract<Deed, { kind: 'MOVES_BEGUN' }>['sheet']

/** Moves that need no name: begun by one tap. */
export function TakeMovesAlong({ sheet, what }: { sheet: MoveSheet; what?: string }) {
  const { t } = useTranslation()
  const begin = useTakeAlong((split) => ({ kind: 'MOVES_BEGUN', split, sheet }))
  return (
    <div className="no-print mt-2">
      <button
        className="act act-main"
        disabled={begin.isPending}
        onClick={() => begin.mutate()}
        aria-label={what ? t('splits.takeAlongWhat', { what }) : undefined}
      >
        {t('splits.takeAlong')}
      </button>
      <NotBegun error={begin.error} />
    </div>
  )
}

export function NotBegun({ error }: { error: Error | null }) {
  const { t } = useTranslation()
  if (!error) return null
  return (
    <p role="alert" className="font-semibold text-crown">
      {error instanceof Refused
        ? [error.message, ...error.findings.map((one) => one.message)].join(' ')
        : t('connection.unreachable')}
    </p>
  )
}
