import { Dialog } from 'radix-ui'
import { useTranslation } from 'react-i18next'
import { PLACES } from './places'

/** Which key does what. */
export function Help({
  open,
  onOpenChange,
}: {
  open: boolean
  onOpenChange: (open: boolean) => void
}) {
  const { t } = useTranslation()
  const keys = [
    ...PLACES.map((place) => [place.short, t(`nav.${place.key}`)] as const),
    ['/', t('nav.findLabel')],
    ['z', t('outbox.undo')],
    ['?', t('help.title')],
  ] as const
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Dialog.Content
          className="fixed top-24 left-1/2 z-50 w-80 -translate-x-1/2 border border-ink bg-sheet p-5"
          aria-describedby={undefined}
        >
          <Dialog.Title className="mb-3 text-xl">{t('help.title')}</Dialog.Title>
          <dl className="grid grid-cols-[3rem_1fr] gap-y-1">
            {keys.map(([key, does]) => (
              <div key={key} className="contents">
                <dt className="font-bold">{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="act mt-4">{t('help.close')}</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
