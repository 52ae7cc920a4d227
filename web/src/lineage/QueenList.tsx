import { useQuery } from '@tanstack/react-query'
import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef, useState, type CSSProperties } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import type { ListedQueen } from '../api/types'
import { useDraft } from '../outbox/useDraft'
import { ChoiceField, TickField } from '../ui/Fields'
import { yardsQuery } from '../yards/queries'
import { saveCsv } from './csv'
import { moved } from './keys'
import { sayMerit } from './merit'
import { choicesQuery, useQueenList } from './queries'

const KEPT = ['LIVING', 'BREEDERS', 'FOR_SALE', 'LATE', 'ALL'] as const
const ROW = 44
const STAGES = ['VIRGIN', 'LAYING', 'JUDGED', 'DRONE_LAYER'] as const
const MERITS = ['', '0', '0.25', '0.5'] as const
/** What can stand beside a queen's name, in this order. */
const COLUMNS = ['line', 'year', 'mark', 'stage', 'where', 'mother', 'merit'] as const
type Column = (typeof COLUMNS)[number]
const USUAL: Column[] = ['line', 'year', 'mark', 'stage', 'where', 'mother']
const WIDTHS: Record<Column, string> = {
  line: '7rem',
  year: '4rem',
  mark: '6rem',
  stage: 'minmax(8rem,1fr)',
  where: '9rem',
  mother: '8rem',
  merit: '13rem',
}
const LINE = 'grid grid-cols-[9rem_minmax(0,1fr)] items-center gap-x-3 md:grid-cols-(--tracks)'

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
  const stage = STAGES.find((one) => one === search.get('stage'))
  const merit = MERITS.find((one) => one !== '' && one === search.get('merit')) ?? ''
  const [columns, setColumns] = useDraft<Column[]>('queen-columns', USUAL)
  const shows = COLUMNS.filter((one) => columns.includes(one))
  const query = useQueenList({
    kept,
    ...(line && { line }),
    ...(year && { year: Number(year) }),
    ...(yard && { yard }),
    ...(mother && { mother }),
    ...(stage && { stage }),
    ...(merit && { merit: Number(merit) }),
    ...(shows.includes('merit') && { merits: true }),
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
  const [at, setAt] = useState(0)
  const goTo = (next: number) => {
    const row = Math.max(0, Math.min(queens.length - 1, next))
    setAt(row)
    virtual.scrollToIndex(row)
  }
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
        <details className="col-span-2 md:col-span-4" open={stage !== undefined || merit !== ''}>
          <summary className="inline-flex min-h-11 items-center underline decoration-dotted underline-offset-4">
            {t('queenList.more')}
          </summary>
          <div className="grid grid-cols-2 items-end gap-3 md:grid-cols-4">
            <ChoiceField
              name={t('queenList.stage')}
              value={stage ?? ''}
              choices={['', ...STAGES]}
              say={(one) => (one ? t(`queenList.stages.${one}`) : t('queenList.any'))}
              onChange={(one) => set({ stage: one })}
            />
            <ChoiceField
              name={t('queenList.merit')}
              value={merit}
              choices={MERITS}
              say={(one) =>
                one ? t('queenList.meritAtLeast', { marks: one }) : t('queenList.any')
              }
              onChange={(one) => set({ merit: one })}
            />
          </div>
          <fieldset className="mt-2 hidden flex-wrap gap-x-4 md:flex">
            <legend className="text-sm text-ink-2">{t('queenList.columns')}</legend>
            {COLUMNS.map((one) => (
              <TickField
                key={one}
                name={t(`queenList.${one}`)}
                value={shows.includes(one)}
                onChange={(on) =>
                  setColumns(on ? [...shows, one] : shows.filter((other) => other !== one))
                }
              />
            ))}
          </fieldset>
        </details>
      </div>
      <p className="mb-2 flex flex-wrap items-center gap-x-4">
        <strong data-testid="answer">{t('queenList.count', { count: all })}</strong>
        {(line || year || yard || mother || stage || merit || kept !== 'LIVING') && (
          <button
            className="act"
            onClick={() =>
              set({ kept: '', line: '', year: '', yard: '', mother: '', stage: '', merit: '' })
            }
          >
            {t('queenList.clear')}
          </button>
        )}
        {queens.length > 0 && (
          <button className="act hidden md:inline-block" onClick={() => saveCsv(queens)}>
            {t('queenList.save', { count: queens.length })}
          </button>
        )}
        {queens.length > 0 && !stage && !merit && (
          <a
            className="act hidden items-center md:inline-flex"
            href={`/api/v1/queens/labels.pdf?${new URLSearchParams({
              kept,
              ...(line && { line }),
              ...(year && { year }),
              ...(yard && { yard }),
              ...(mother && { mother }),
            }).toString()}`}
          >
            {t('queenList.labels')}
          </a>
        )}
      </p>
      <div
        className={`${LINE} border-b-2 border-ink text-sm text-ink-2`}
        style={{ '--tracks': tracks(shows) } as CSSProperties}
        aria-hidden
      >
        <span>{t('queenList.queen')}</span>
        {shows.map((one) => (
          <span key={one} className={one === 'stage' ? '' : 'hidden md:block'}>
            {t(`queenList.${one}`)}
          </span>
        ))}
      </div>
      {!query.isPending && queens.length === 0 && <p className="mt-3">{t('queenList.none')}</p>}
      <div
        ref={box}
        className="h-[calc(100vh-20rem)] min-h-64 overflow-auto"
        tabIndex={0}
        role="region"
        aria-label={t('queenList.list')}
        onKeyDown={(event) => {
          const next = moved(event.key, at, queens.length)
          const queen = queens[at]
          if (next !== undefined) {
            event.preventDefault()
            goTo(next)
          } else if (event.key === 'Enter' && event.target === event.currentTarget && queen) {
            void navigate(`/queens/${queen.id}`)
          }
        }}
      >
        <ul className="relative" style={{ height: virtual.getTotalSize() }}>
          {shown.map((item) => {
            const queen = queens[item.index]
            return (
              queen && (
                <li
                  key={queen.id}
                  className={`absolute left-0 w-full border-b border-rule ${item.index === at ? 'bg-paper-2' : ''}`}
                  style={{ top: item.start, height: ROW }}
                >
                  <button
                    className={`${LINE} h-full w-full bg-transparent text-left`}
                    style={{ '--tracks': tracks(shows) } as CSSProperties}
                    tabIndex={-1}
                    aria-label={t('queenList.open', { queen: queen.name || queen.code })}
                    onClick={() => void navigate(`/queens/${queen.id}`)}
                  >
                    <Cells queen={queen} shows={shows} />
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

const tracks = (shows: Column[]) => ['9rem', ...shows.map((one) => WIDTHS[one])].join(' ')

function Cells({ queen, shows }: { queen: ListedQueen; shows: Column[] }) {
  const { t } = useTranslation()
  const where = queen.hive
    ? `${queen.hive}${queen.yard ? `, ${queen.yard}` : ''}`
    : queen.cage === undefined
      ? ''
      : t('bank.cage', { number: queen.cage })
  const says: Record<Column, string> = {
    line: queen.line,
    year: String(queen.born ?? '?'),
    mark: queen.mark.toLowerCase(),
    stage: queen.stageText,
    where,
    mother: queen.mother ?? '',
    merit: queen.merit === undefined ? '' : sayMerit(t, queen.merit, queen.reliability),
  }
  return (
    <>
      <strong className="truncate">{queen.name || queen.code}</strong>
      {shows.map((one) => (
        <span key={one} className={`truncate ${one === 'stage' ? '' : 'hidden md:block'}`}>
          {says[one]}
        </span>
      ))}
    </>
  )
}
