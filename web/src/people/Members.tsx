import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { AlertDialog, DropdownMenu } from 'radix-ui'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { useSession } from '../session/queries'
import { sayDay } from '../time/days'
import { Answer, Findings } from '../ui/Page'
import { Invite } from './Invite'
import { LinkShown } from './LinkShown'
import { peopleQuery } from './queries'

/** Who is in the operation, who is asked in, and what can be done about each. */
export function Members() {
  const { t } = useTranslation()
  const query = useQuery(peopleQuery)
  const { personId } = useSession()
  const client = useQueryClient()
  const [leaving, setLeaving] = useState<{ id: string; name: string }>()
  const [link, setLink] = useState('')
  const again = () => client.invalidateQueries({ queryKey: ['people'] })
  const leaves = useMutation({
    mutationFn: (id: string) =>
      answered(api.DELETE('/api/v1/people/{id}', { params: { path: { id } } })),
    onSettled: again,
  })
  const becomes = useMutation({
    mutationFn: ({ id, role }: { id: string; role: 'OWNER' | 'CREW' }) =>
      answered(api.PUT('/api/v1/people/{id}/role', { params: { path: { id } }, body: { role } })),
    onSettled: again,
  })
  const newPassword = useMutation({
    mutationFn: (id: string) =>
      answered(api.POST('/api/v1/people/{id}/password-link', { params: { path: { id } } })),
    onSuccess: (made) => setLink(window.location.origin + made.path),
  })
  return (
    <Answer query={query}>
      {({ people, invited }) => (
        <>
          <ul className="mt-2 border-t-2 border-ink">
            {people.map((one) => (
              <li
                key={one.id}
                className="flex flex-wrap items-center gap-x-4 border-b border-rule py-2"
                data-testid="person"
              >
                <strong className="min-w-40">{one.name}</strong>
                <span>{t(`people.roles.${one.role}`)}</span>
                <span className="text-ink-2">{one.email}</span>
                {one.id !== personId && (
                  <DropdownMenu.Root>
                    <DropdownMenu.Trigger
                      className="act ml-auto"
                      aria-label={t('people.changeLabel', { name: one.name })}
                    >
                      {t('people.change')}
                    </DropdownMenu.Trigger>
                    <DropdownMenu.Portal>
                      <DropdownMenu.Content
                        align="end"
                        sideOffset={6}
                        className="z-40 border border-ink bg-sheet p-2"
                      >
                        {[
                          {
                            word: one.role === 'OWNER' ? 'people.makeCrew' : 'people.makeOwner',
                            act: () =>
                              becomes.mutate({
                                id: one.id,
                                role: one.role === 'OWNER' ? 'CREW' : 'OWNER',
                              }),
                          },
                          { word: 'people.newPassword', act: () => newPassword.mutate(one.id) },
                          { word: 'people.leaves', act: () => setLeaving(one) },
                        ].map(({ word, act }) => (
                          <DropdownMenu.Item
                            key={word}
                            className="flex min-h-11 cursor-default items-center px-3 data-[highlighted]:bg-ink data-[highlighted]:text-paper"
                            onSelect={act}
                          >
                            {t(word, { name: one.name })}
                          </DropdownMenu.Item>
                        ))}
                      </DropdownMenu.Content>
                    </DropdownMenu.Portal>
                  </DropdownMenu.Root>
                )}
              </li>
            ))}
            {invited.map((one) => (
              <li key={one.name + one.expiresAt} className="border-b border-rule py-2 text-ink-2">
                {t('people.waits', {
                  name: one.name,
                  role: t(`people.roles.${one.role}`),
                  day: sayDay(one.expiresAt.slice(0, 10)),
                })}
              </li>
            ))}
          </ul>
          <Findings error={leaves.error ?? becomes.error ?? newPassword.error} />
          <LinkShown link={link} />
          <Invite />
          <AlertDialog.Root
            open={leaving !== undefined}
            onOpenChange={(open) => !open && setLeaving(undefined)}
          >
            <AlertDialog.Portal>
              <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
              <AlertDialog.Content className="fixed top-24 left-1/2 z-50 w-80 -translate-x-1/2 border border-ink bg-sheet p-5">
                <AlertDialog.Title className="text-xl">
                  {t('people.leaves', { name: leaving?.name })}
                </AlertDialog.Title>
                <AlertDialog.Description className="my-3">
                  {t('people.leavesMeans')}
                </AlertDialog.Description>
                <div className="flex gap-3">
                  <AlertDialog.Action
                    className="act act-main"
                    onClick={() => leaving && leaves.mutate(leaving.id)}
                  >
                    {t('people.leavesNow', { name: leaving?.name })}
                  </AlertDialog.Action>
                  <AlertDialog.Cancel className="act">{t('people.stays')}</AlertDialog.Cancel>
                </div>
              </AlertDialog.Content>
            </AlertDialog.Portal>
          </AlertDialog.Root>
        </>
      )}
    </Answer>
  )
}
