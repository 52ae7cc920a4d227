import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import type { LinesPage, TestGroupsPage, TestGroupsRequest } from '../api/types'
import { NumberField } from '../ui/Fields'
import { yardsQuery } from '../yards/queries'

/** Which daughters stand in which yard, so that their mothers can be compared. */
export function TestGroups({ mothers }: { mothers: LinesPage['mothers'] }) {
  const { t } = useTranslation()
  const yards = useQuery(yardsQuery).data ?? []
  const living = mothers.filter((one) => one.alive && one.breeder)
  const [daughters, setDaughters] = useState<Record<string, number | undefined>>({})
  const [places, setPlaces] = useState<Record<string, number | undefined>>({})
  const plan = useMutation({
    mutationFn: (body: TestGroupsRequest) =>
      answered(api.POST('/api/v1/lines/test-groups', { body })),
  })
  const many = (id: string) => daughters[id] ?? USUAL_DAUGHTERS
  const room = (id: string) => places[id] ?? 0
  if (living.length === 0) return null
  return (
    <section className="mt-6" aria-labelledby="test-groups">
      <h2 id="test-groups" className="text-xl">
        {t('testGroups.title')}
      </h2>
      <p className="max-w-3xl text-ink-2">{t('testGroups.how')}</p>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          plan.mutate({
            mothers: living
              .filter((one) => many(one.id) > 0)
              .map((one) => ({ queen: one.id, daughters: many(one.id) })),
            yards: yards
              .filter((one) => room(one.id) > 0)
              .map((one) => ({ yard: one.id, places: room(one.id) })),
          })
        }}
      >
        <fieldset className="mt-2 grid max-w-3xl grid-cols-2 gap-3 md:grid-cols-4">
          <legend className="mb-1 font-semibold">{t('testGroups.daughters')}</legend>
          {living.map((one) => (
            <NumberField
              key={one.id}
              name={one.code}
              min={0}
              max={10_000}
              value={many(one.id)}
              onChange={(next) => setDaughters({ ...daughters, [one.id]: next ?? 0 })}
            />
          ))}
        </fieldset>
        <fieldset className="mt-3 grid max-w-3xl grid-cols-2 gap-3 md:grid-cols-4">
          <legend className="mb-1 font-semibold">{t('testGroups.places')}</legend>
          {yards.map((one) => (
            <NumberField
              key={one.id}
              name={one.name}
              min={0}
              max={10_000}
              value={room(one.id)}
              onChange={(next) => setPlaces({ ...places, [one.id]: next ?? 0 })}
            />
          ))}
        </fieldset>
        <button className="act act-main mt-3" disabled={plan.isPending}>
          {t('testGroups.plan')}
        </button>
        {yards.every((one) => room(one.id) === 0) && (
          <span className="ml-3 text-ink-2">{t('testGroups.noPlaces')}</span>
        )}
      </form>
      {plan.error && (
        <p role="alert" className="mt-2 font-semibold text-crown">
          {plan.error.message}
        </p>
      )}
      {plan.data && <Groups page={plan.data} mothers={living} />}
    </section>
  )
}

const USUAL_DAUGHTERS = 6

function Groups({ page, mothers }: { page: TestGroupsPage; mothers: LinesPage['mothers'] }) {
  const { t } = useTranslation()
  return (
    <>
      <table className="mt-3 border-t-2 border-ink">
        <thead>
          <tr>
            <th scope="col" className="pr-6 text-left text-sm text-ink-2">
              {t('testGroups.yard')}
            </th>
            {mothers.map((one) => (
              <th key={one.id} scope="col" className="px-3 text-right">
                {one.code}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {page.yards.map((yard) => (
            <tr key={yard.yard} className="border-t border-rule">
              <th scope="row" className="py-1 pr-6 text-left font-normal">
                {yard.name}
              </th>
              {mothers.map((one) => (
                <td key={one.id} className="px-3 text-right font-bold">
                  {yard.daughters[one.id] ?? 0}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="text-sm">
        {page.warnings.map((one) => (
          <li key={one}>! {one}</li>
        ))}
      </ul>
    </>
  )
}
