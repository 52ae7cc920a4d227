import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { v7 as uuidv7 } from 'uuid'
import { answered, api } from '../api/client'
import type { ColonyPage, Deed } from '../api/types'
import { useTell } from '../outbox/useRecord'
import { settingsQuery } from '../settings/queries'
import { Findings } from '../ui/Page'
import { yardsQuery } from '../yards/queries'

type Purpose = ColonyPage['colony']['purpose']
const PURPOSES: Purpose[] = [
  'PRODUCTION',
  'DRONE_COLONY',
  'BUILDER',
  'MATING_NUC',
  'MINI_NUC',
  'NUC',
  'BANK',
]

async function queenCalled(code: string) {
  const wanted = code.trim().toLowerCase()
  if (!wanted) return undefined
  const { items } = await answered(
    api.GET('/api/v1/queens', { params: { query: { search: wanted } } }),
  )
  const queen = items.find((one) => one.code.toLowerCase() === wanted)
  if (!queen) throw new Error('no such queen')
  return queen
}

/** Sets a hive up, or changes what and where it is; everything typed stays where the server refuses it. */
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
  const [droneComb, setDroneComb] = useState(page?.droneCombOn !== undefined)
  const [queenCode, setQueenCode] = useState(page?.queens[0]?.code ?? '')
  const [purpose, setPurpose] = useState<Purpose>(page?.colony.purpose ?? 'PRODUCTION')
  const [ids] = useState(() => ({ hive: page?.colony.id ?? uuidv7(), box: uuidv7() }))
  const tell = useTell()
  const keep = useMutation({
    mutationFn: async () => {
      const queen = await queenCalled(queenCode)
      const { hive } = ids
      const place = { yard: yard || (yards.data?.[0]?.id ?? ''), position: Number(position) }
      const deeds: Deed[] = []
      if (!page) {
        const slots = Number(frames)
        const box = {
          id: ids.box,
          kind: 'BROOD' as const,
          format: format || (formats[0] ?? ''),
          slots,
          frames: slots,
        }
        const stack = [box]
        deeds.push({ kind: 'HIVE_SET_UP', hive, code: code.trim(), purpose, stack, ...place })
      } else {
        const { colony } = page
        if (code.trim() !== colony.code) {
          deeds.push({ kind: 'HIVE_RENAMED', hive, code: code.trim() })
        }
        if (place.yard !== colony.yard || place.position !== page.position) {
          deeds.push({ kind: 'HIVE_MOVED', hive, ...place })
        }
        if (purpose !== colony.purpose) deeds.push({ kind: 'HIVE_REPURPOSED', hive, purpose })
      }
      if (queen && !page?.queens.some((one) => one.id === queen.id)) {
        deeds.push({
          kind: 'QUEEN_PLACED',
          queen: queen.id,
          hive,
          given: 'LAYING_QUEEN',
          besideAnother: false,
        })
      }
      if (droneComb !== (page?.droneCombOn !== undefined)) {
        deeds.push({ kind: droneComb ? 'DRONE_COMB_IN' : 'DRONE_COMB_OUT', hive })
      }
      if (deeds.length > 0) await tell(deeds)
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
          'purpose',
          <select
            className="field"
            value={purpose}
            onChange={(event) => setPurpose(event.target.value as Purpose)}
          >
            {PURPOSES.map((one) => (
              <option key={one} value={one}>
                {t(`purpose.${one}`)}
              </option>
            ))}
          </select>,
        )}
        {!page && (
          <>
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
          </>
        )}
        {labelled(
          'queen',
          <input
            className="field"
            value={queenCode}
            onChange={(event) => setQueenCode(event.target.value)}
          />,
        )}
        <label className="flex min-h-11 items-center gap-3 self-end">
          <input
            type="checkbox"
            className="size-5"
            checked={droneComb}
            onChange={(event) => setDroneComb(event.target.checked)}
          />
          {t('setUp.droneComb')}
        </label>
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
