import { useQuery } from '@tanstack/react-query'
import { hivesQuery } from '../colonies/queries'
import { ChoiceField } from '../ui/Fields'

/** One of the hives that stand. */
export function HiveChoice(props: { name: string; value: string; onChange: (id: string) => void }) {
  const hives = useQuery(hivesQuery).data ?? []
  return (
    <ChoiceField
      {...props}
      choices={['', ...hives.map((one) => one.id)]}
      say={(id) => hives.find((one) => one.id === id)?.code ?? ''}
    />
  )
}
