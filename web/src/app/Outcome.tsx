import { useTranslation } from 'react-i18next'
import { useRecording } from '../outbox/RecordContext'
import { useParcels, useRecord } from '../outbox/useRecord'
import { useKey } from './keys'

/** What was just recorded, with undo; what waits to be sent; what the server refused. */
export function Outcome() {
  const { t } = useTranslation()
  const { last } = useRecording()
  const parcels = useParcels()
  const { undo, keep, drop, sendAll } = useRecord()
  const refused = parcels.filter((parcel) => parcel.refusal)
  const waiting = parcels.length - refused.length
  useKey('z', () => last && void undo(last))
  return (
    <div
      className="fixed inset-x-0 bottom-12 z-20 md:bottom-0 md:left-32"
      role="status"
      aria-live="polite"
    >
      {refused.map((parcel) => (
        <div
          key={parcel.id}
          className="border-t-2 border-crown bg-sheet px-4 py-3"
          data-testid="refused"
        >
          <p className="font-bold">{parcel.label}</p>
          {(parcel.refusal?.findings.length
            ? parcel.refusal.findings.map((one) => one.message)
            : [parcel.refusal?.message]
          ).map((message) => (
            <p key={message} className="text-crown">
              {message}
            </p>
          ))}
          <div className="mt-2 flex gap-3">
            {parcel.refusal?.status === 409 && (
              <button className="act act-main" onClick={() => void keep(parcel.id)}>
                {t('outbox.keep')}
              </button>
            )}
            <button className="act" onClick={() => void drop(parcel.id).then(sendAll)}>
              {t('outbox.drop')}
            </button>
          </div>
        </div>
      ))}
      {(last || waiting > 0) && refused.length === 0 && (
        <div className="flex items-center gap-4 border-t border-rule bg-sheet px-4 py-2">
          {last && (
            <>
              <span className="min-w-0 truncate">{last.label}</span>
              <button className="act" aria-keyshortcuts="z" onClick={() => void undo(last)}>
                {t('outbox.undo')}
              </button>
            </>
          )}
          {waiting > 0 && (
            <span className="ml-auto text-sm text-ink-2">
              {t('outbox.waiting', { count: waiting })}
            </span>
          )}
        </div>
      )}
    </div>
  )
}
