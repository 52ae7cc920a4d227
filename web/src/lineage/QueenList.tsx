import { useQuery } from '@tanstack/react-query'
import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import type { ListedQueen } from '../api/types'
import { ChoiceField } from '../ui/Fields'
import { yardsQuery } from '../yards/queries'
import { saveCsv } from './csv'
import { choicesQuery, useQueenList } from './queries'

const KEPT = ['LIVING', 'BREEDERS', 'FOR_SALE', 'LATE', 'ALL'] as const
const ROW = 44
const COLUMNS =
  'grid grid-cols-[8rem_minmax(0,1fr)] items-center gap-x-3 md:grid-cols-[9rem_7rem_4rem_6rem_minmax(0,1fr)_9rem_8rem]'

/** All queens, narrowed by what is asked; only the rows in sight are drawn, more are fetched as one scrolls. */
export function QueenList({
  search,
  set,
}: {
  search: URLSearchParams
  set: (part: Record<string, string>) => void
}) {
  const { t } = useTranslation()
  const navigate = useNavigate()
  const choices = useQuery(choicesQuery).data
  const yards = useQuery(yardsQuery).data ?? []
  const kept = KEPT.find((one) => one === search.get('kept')) ?? 'LIVING'
  const line = search.get('line') ?? ''
  const year = search.get('year') ?? ''
  const yard = search.get('yard') ?? ''
  const mother = search.get('mother') ?? ''
  const query = useQueenList({
    kept,
    ...(line && { line }),
    ...(year && { year: Number(year) }),
    ...(yard && { yard }),
    ...(mother && { mother }),
  })
  const queens = query.data?.pages.flatMap((page) => page.queens) ?? []
  const all = query.data?.pages[0]?.all ?? 0
  const box = useRef<HTMLDivElement>(null)
  const virtual = useVirtualizer({
    count: queens.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW,
    overscan: 10,
  })
  const shown = virtual.getVirtualItems()
  const last = shown.at(-1)?.index ?? 0
  const { hasNextPage, isFetchingNextPage, fetchNextPage } = query
  useEffect(() => {
    if (last >= queens.length - 20 && hasNextPage && !isFetchingNextPage) void fetchNextPage()
  }, [last, queens.length, hasNextPage, isFetchingNextPage, fetchNextPage])
  return (
    <>
      <div className="no-print mb-3 grid max-w-4xl grid-cols-2 items-end gap-3 md:grid-cols-4">
        <ChoiceField
          name={t('queenList.kept')}
          value={kept}
          choices={KEPT}
          say={(one) => t(`queenList.keptAs.${one}`)}
          onChange={(one) => set({ kept: one === 'LIVING' ? '' : one })}
        />
        <ChoiceField
          name={t('queenList.line')}
          value={line}
          choices={['', ...(choices?.lines ?? [])]}
          say={(one) => one || t('queenList.any')}
          onChange={(one) => set({ line: one })}
        />
        <ChoiceField
          name={t('queenList.year')}
          value={year}
          choices={['', ...(choices?.years ?? []).map(String)]}
          say={(one) => one || t('queenList.any')}
          onChange={(one) => set({ year: one })}
        />
        <ChoiceField
          name={t('queenList.yard')}
          value={yard}
          choices={['', ...yards.map((one) => one.id)]}
          say={(id) => yards.find((one) => one.id === id)?.name ?? t('queenList.any')}
          onChange={(one) => set({ yard: one })}
        />
      </div>
      <p className="mb-2 flex flex-wrap items-center gap-x-4">
        <strong data-testid="answer">{t('queenList.count', { count: all })}</strong>
        {(line || year || yard || mother || kept !== 'LIVING') && (
          <button
            className="act"
            onClick={() => set({ kept: '', line: '', year: '', yard: '', mother: '' })}
          >
            {t('queenList.clear')}
          </button>
        )}
        {queens.length > 0 && (
          <button className="act" onClick={() => saveCsv(queens)}>
            {t('queenList.save', { count: queens.length })}
          </button>
        )}
      </p>
      <div className={`${COLUMNS} border-b-2 border-ink text-sm text-ink-2`} aria-hidden>
        <span>{t('queenList.queen')}</span>
        <span className="hidden md:block">{t('queenList.line')}</span>
        <span className="hidden md:block">{t('queenList.year')}</span>
        <span className="hidden md:block">{t('queenList.mark')}</span>
        <span>{t('queenList.stage')}</span>
        <span className="hidden md:block">{t('queenList.where')}</span>
        <span className="hidden md:block">{t('queenList.mother')}</span>
      </div>
      {!query.isPending && queens.length === 0 && <p className="mt-3">{t('queenList.none')}</p>}
      <div
        ref={box}
        className="h-[calc(100vh-20rem)] min-h-64 overflow-auto"
        tabIndex={0}
        role="region"
        aria-label={t('queenList.list')}
      >
        <ul className="relative" style={{ height: virtual.getTotalSize() }}>
          {shown.map((item) => {
            const queen = queens[item.index]
            return (
              queen && (
                <li
                  key={queen.id}
                  className="absolute left-0 w-full border-b border-rule"
                  style={{ top: item.start, height: ROW }}
                >
                  <button
                    className={`${COLUMNS} h-full w-full bg-transparent text-left`}
                    aria-label={t('queenList.open', { queen: queen.name || queen.code })}
                    onClick={() => void navigate(`/queens/${queen.id}`)}
                  >
                    <Cells queen={queen} />
                  </button>
                </li>
              )
            )
          })}
        </ul>
      </div>
    </>
  )
}

function Cells({ queen }: { queen: ListedQueen }) {
  const { t } = useTranslation()
  return (
    <>
      <strong className="truncate">{queen.name || queen.code}</strong>
      <span className="hidden truncate md:block">{queen.line}</span>
      <span className="hidden md:block">{queen.born ?? '?'}</span>
      <span className="hidden truncate md:block">{queen.mark.toLowerCase()}</span>
      <span className="truncate">{queen.stageText}</span>
      <span className="hidden truncate text-ink-2 md:block">
        {queen.hive
          ? `${queen.hive}${queen.yard ? `, ${queen.yard}` : ''}`
          : queen.cage === undefined
            ? ''
            : t('bank.cage', { number: queen.cage })}
      </span>
      <span className="hidden truncate text-ink-2 md:block">{queen.mother ?? ''}</span>
    </>
  )
}
