import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import type { Verdict } from '../api/types'
import { settingsQuery } from '../settings/queries'
import { dayNumber, sayDay, saySpan } from '../time/days'
import { Reasons } from '../ui/Reasons'

const SHOWN = 4
const SURE = 0.8
/** An egg hatches on its third day. */
const HATCHES = 3

const percent = (chance: number) => `${Math.round(chance * 100)} %`

/** Who is there, and that it is not sure where it is not. */
export function useWho() {
  const { t } = useTranslation()
  return ({ who, contents }: Pick<Verdict, 'who' | 'contents'>) =>
    Math.max(...Object.values(contents.queen)) < SURE ? t('colony.likely', { who }) : who
}

/** Whom to tell: at hand without a signal too, once the settings were seen. */
function Authority() {
  const { t } = useTranslation()
  const settings = useQuery(settingsQuery).data
  if (!settings) return null
  const { authority } = settings.settings
  return <p>{authority ? t('colony.tell', { authority }) : t('colony.tellUnknown')}</p>
}

/** What the readings mean: the sentence first, then odds, why, what is still open. */
export function VerdictColumn({ verdict }: { verdict: Verdict }) {
  const { t } = useTranslation()
  const sayWho = useWho()
  const shown = verdict.odds
    .slice(0, SHOWN)
    .filter((one, index) => index === 0 || one.chance > 0.005)
  const rest = 1 - shown.reduce((sum, one) => sum + one.chance, 0)
  return (
    <div data-testid="verdict" data-leading={verdict.leading}>
      {verdict.stop.length > 0 && (
        <div role="alert" className="mb-4 border-l-4 border-crown pl-3 font-semibold text-crown">
          {verdict.stop.map((reason) => (
            <p key={reason.text}>{reason.text}</p>
          ))}
          <Authority />
        </div>
      )}
      <p className="font-read text-2xl leading-8 font-bold">{sayWho(verdict)}</p>
      <p className="font-read text-xl leading-7">{verdict.underWay}</p>
      <table className="mt-3 w-full text-left">
        <caption className="sr-only">{t('colony.odds')}</caption>
        <tbody>
          {shown.map((one, index) => (
            <tr key={one.state}>
              <th className="py-0.5 pr-3 font-normal">{one.text}</th>
              <td className="w-24 sm:w-32" aria-hidden="true">
                <span
                  className={`block h-3 ${index === 0 ? 'bg-ink' : 'bg-ink-3'}`}
                  style={{ width: `${Math.max(2, one.chance * 100)}%` }}
                />
              </td>
              <td className={`w-16 text-right ${index === 0 ? 'font-bold' : ''}`}>
                {percent(one.chance)}
              </td>
            </tr>
          ))}
          {rest > 0.005 && (
            <tr>
              <th className="py-0.5 font-normal text-ink-2">{t('colony.other')}</th>
              <td />
              <td className="text-right text-ink-2">{percent(rest)}</td>
            </tr>
          )}
        </tbody>
      </table>
      <YoungQueen verdict={verdict} />
      <Clashes verdict={verdict} />
      <Because verdict={verdict} />
      <Brood verdict={verdict} />
      <Settle verdict={verdict} />
    </div>
  )
}

/** Of colonies like this one, in how many a young queen lays by when. */
function YoungQueen({ verdict }: { verdict: Verdict }) {
  const { t } = useTranslation()
  const { firstEggs, ownWorkers, layingBy, queen } = verdict.contents
  // where the old one lays it is not the question
  if (!firstEggs || (queen.LAYING ?? 0) > 0.5) return null
  return (
    <p className="mt-3 text-sm">
      {t('colony.layingBy', {
        shares: Object.entries(layingBy)
          .map(([days, share]) => t('colony.layingByDays', { days, share: percent(share) }))
          .join(', '),
      })}{' '}
      {ownWorkers && t('colony.ownWorkers', { days: saySpan(ownWorkers) })}
    </p>
  )
}

function Clashes({ verdict }: { verdict: Verdict }) {
  const { t } = useTranslation()
  return verdict.proof.contradictions.map((clash) => (
    <div
      key={clash.facts.map((fact) => fact.text).join()}
      className="mt-4 border-l-4 border-crown pl-3"
    >
      <p className="font-semibold text-crown">{t('colony.clash')}</p>
      <ul className="list-disc pl-5">
        {clash.facts.map((fact) => (
          <li key={fact.text}>{fact.text}</li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-ink-2">
        {t('colony.explain', { how: clash.explanations.map((one) => one.text).join('; ') })}
      </p>
    </div>
  ))
}

function Because({ verdict }: { verdict: Verdict }) {
  const { t } = useTranslation()
  // Of a sign told on several days the newest counts for the eye.
  const telling = verdict.signs
    .filter((sign) => sign.speaks !== 'NEITHER')
    .filter(
      (sign) => !verdict.signs.some((other) => other.sign === sign.sign && other.day > sign.day),
    )
    .slice(0, 5)
  if (telling.length === 0) return null
  return (
    <>
      <h3 className="mt-4 font-work text-sm text-ink-2">{t('colony.because')}</h3>
      <ul>
        {telling.map((sign) => (
          <li
            key={`${sign.day}${sign.sign}`}
            className="mt-1 grid grid-cols-[5rem_minmax(0,1fr)] gap-2"
          >
            <span className={sign.speaks === 'FOR' ? 'font-semibold' : 'text-ink-2'}>
              {t(`colony.speaks.${sign.speaks}`)}
            </span>
            <span>
              {sign.seen ? sign.text : t('colony.no', { what: sign.text })}
              <span className="block text-sm text-ink-2">
                {sayDay(sign.day)} · {sign.reason.text}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </>
  )
}

function Brood({ verdict }: { verdict: Verdict }) {
  const { t } = useTranslation()
  const { proof } = verdict
  const rows = (
    [
      ['lastEgg', proof.lastEgg],
      ['queenlessSince', proof.queenlessSince],
      ['noNewCellsFrom', proof.queenlessSince && proof.noNewCellsFrom],
      ['lastWorkerEmerges', proof.queenlessSince && proof.lastWorkerEmerges],
    ] as const
  ).filter(([, span]) => span)
  const next = proof.nextQueen
  const began = proof.layings.at(-1)?.firstEgg
  if (rows.length === 0 && !next && !began?.earliest && proof.cells.length === 0) return null
  return (
    <>
      <h3 className="mt-4 font-work text-sm text-ink-2">{t('colony.brood')}</h3>
      <dl className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-3">
        {rows.map(([key, span]) => (
          <div key={key} className="contents">
            <dt>{t(`colony.proof.${key}`)}</dt>
            <dd>
              {span?.earliest
                ? saySpan({ earliest: span.earliest, latest: span.latest })
                : t('colony.atLatest', { day: sayDay(span?.latest ?? '') })}
            </dd>
          </div>
        ))}
        {began?.earliest && (
          <>
            <dt>{t('colony.proof.began')}</dt>
            <dd>{saySpan({ earliest: began.earliest, latest: began.latest })}</dd>
          </>
        )}
        {next && (
          <>
            <dt>{t('colony.proof.emerges')}</dt>
            <dd>{saySpan(next.emerges)}</dd>
            <dt>{t('colony.proof.firstEggs')}</dt>
            <dd>{saySpan(next.firstEggs)}</dd>
            <dt>{t('colony.proof.late')}</dt>
            <dd>{sayDay(next.late.likely)}</dd>
            <dt>{t('colony.proof.dronesOnly')}</dt>
            <dd>{sayDay(next.dronesOnly.likely)}</dd>
          </>
        )}
        {proof.broodless && (
          <>
            <dt>{t('colony.proof.broodless')}</dt>
            <dd>{saySpan(proof.broodless)}</dd>
          </>
        )}
        {proof.secondCut && (
          <>
            <dt>{t('colony.proof.secondCut')}</dt>
            <dd className="font-semibold text-crown">{saySpan(proof.secondCut)}</dd>
          </>
        )}
        {proof.workersLay && (
          <>
            <dt>{t('colony.proof.workersLay')}</dt>
            <dd>{saySpan(proof.workersLay)}</dd>
          </>
        )}
      </dl>
      <CellAges verdict={verdict} />
      <Reasons reasons={proof.reasons} />
    </>
  )
}

/** Age of each cell of the newest look at cells, from the egg and since it hatched, and when it opens. */
function CellAges({ verdict }: { verdict: Verdict }) {
  const { t } = useTranslation()
  const newest = Math.max(...verdict.proof.cells.map((cell) => cell.reading))
  const cells = verdict.proof.cells.filter((cell) => cell.reading === newest)
  if (cells.length === 0) return null
  const age = (day: string) => dayNumber(verdict.asOf) - dayNumber(day)
  return (
    <ul className="mt-1" aria-label={t('colony.cellAges')}>
      {cells.map((cell) => (
        <li key={`${cell.look}${cell.place}`}>
          {t('colony.cellAge', {
            count: cell.count,
            look: t(`cellLook.${cell.look}`),
            from: Math.max(0, age(cell.eggLaid.latest)),
            to: age(cell.eggLaid.earliest),
            hatchedFrom: Math.max(0, age(cell.eggLaid.latest) - HATCHES),
            hatchedTo: Math.max(0, age(cell.eggLaid.earliest) - HATCHES),
            opens: saySpan(cell.emerges),
          })}{' '}
          <span className="text-sm text-ink-2">{t(`colony.begun.${cell.begun}`)}</span>
        </li>
      ))}
    </ul>
  )
}

function Settle({ verdict }: { verdict: Verdict }) {
  const { t } = useTranslation()
  const best = verdict.settle[0]
  if (!best || (verdict.odds[0]?.chance ?? 0) > 0.97) return null
  return (
    <>
      <h3 className="mt-4 font-work text-sm text-ink-2">{t('colony.settle')}</h3>
      <p className="font-semibold text-crown">
        {best.text}, {saySpan(best.when)}
      </p>
      <ul className="text-sm text-ink-2">
        {best.outcomes.map((outcome) => (
          <li key={outcome.found}>
            {t('colony.outcome', {
              found: outcome.found,
              chance: percent(outcome.chance),
              state: outcome.leadingText,
              odds: percent(outcome.odds),
            })}
          </li>
        ))}
      </ul>
    </>
  )
}
