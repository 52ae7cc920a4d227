import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import type { ColonyPage } from '../api/types'
import { settingsQuery } from '../settings/queries'
import { Findings } from '../ui/Page'
import { yardsQuery } from '../yards/queries'

/** Sets a colony up, or changes its box; everything typed stays where the server refuses it. */
export function SetUpForm({ page, onDone }: { page?: ColonyPage; onDone: () => void }) {
  const { t } = useTranslation()
  const client = useQueryClient()
  const yards = useQuery(yardsQuery)
  const formats = Object.keys(useQuery(settingsQuery).data?.formats ?? {})
  const [code, setCode] = useState(page?.colony.code ?? '')
  const [yard, setYard] = useState(page?.colony.yard ?? '')
  const [position, setPosition] = useState(String(page?.position ?? 1))
  const [frames, setFrames] = useState(String(page?.colony.frames ?? 10))
  const [format, setFormat] = useState(page?.colony.format ?? '')
  const [droneComb, setDroneComb] = useState(page?.droneCombOn ?? '')
  const [queenCode, setQueenCode] = useState(page?.queen?.code ?? '')
  const keep = useMutation({
    mutationFn: async () => {
      const found = queenCode.trim()
        ? (
            await answered(
              api.GET('/api/v1/queens', { params: { query: { search: queenCode.trim() } } }),
            )
          ).find((one) => one.code.toLowerCase() === queenCode.trim().toLowerCase())
        : undefined
      if (queenCode.trim() && !found) throw new Error('no such queen')
      return answered(
        api.PUT('/api/v1/colonies/{id}', {
          params: { path: { id: page?.colony.id ?? uuidv7() } },
          body: {
            code: code.trim(),
            yard: yard || (yards.data?.[0]?.id ?? ''),
            position: Number(position),
            frames: Number(frames),
            format: format || (formats[0] ?? ''),
            ...(found ? { queen: found.id } : {}),
            ...(droneComb ? { droneCombOn: droneComb } : {}),
          },
        }),
      )
    },
    onSuccess: async () => {
      await client.invalidateQueries()
      onDone()
    },
  })
  const labelled = (name: string, field: React.ReactNode) => (
    <label className="min-w-32 flex-1">
      <span className="block text-sm text-ink-2">{t(`setUp.${name}`)}</span>
      {field}
    </label>
  )
  const unknownQueen = keep.error instanceof Error && keep.error.message === 'no such queen'
  return (
    <form
      className="mb-6 max-w-4xl border-t-2 border-ink pt-3"
      onSubmit={(event) => {
        event.preventDefault()
        keep.mutate()
      }}
    >
      <div className="flex flex-wrap gap-3">
        {labelled(
          'code',
          <input
            className="field"
            value={code}
            required
            maxLength={20}
            onChange={(event) => setCode(event.target.value)}
          />,
        )}
        {labelled(
          'yard',
          <select className="field" value={yard} onChange={(event) => setYard(event.target.value)}>
            {yards.data?.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>,
        )}
        {labelled(
          'position',
          <input
            className="field"
            type="number"
            min={1}
            value={position}
            required
            onChange={(event) => setPosition(event.target.value)}
          />,
        )}
        {labelled(
          'frames',
          <input
            className="field"
            type="number"
            min={1}
            max={24}
            value={frames}
            required
            onChange={(event) => setFrames(event.target.value)}
          />,
        )}
        {labelled(
          'format',
          <select
            className="field"
            value={format}
            onChange={(event) => setFormat(event.target.value)}
          >
            {formats.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </select>,
        )}
        {labelled(
          'queen',
          <input
            className="field"
            value={queenCode}
            onChange={(event) => setQueenCode(event.target.value)}
          />,
        )}
        {labelled(
          'droneComb',
          <input
            className="field"
            type="date"
            value={droneComb}
            onChange={(event) => setDroneComb(event.target.value)}
          />,
        )}
      </div>
      {unknownQueen ? (
        <p role="alert" className="mt-2 font-semibold text-crown">
          {t('setUp.noQueen', { code: queenCode })}
        </p>
      ) : (
        <Findings error={keep.error} />
      )}
      <button
        className="act act-main mt-3"
        disabled={keep.isPending || !yards.data || formats.length === 0}
      >
        {t('setUp.keep')}
      </button>
    </form>
  )
}
