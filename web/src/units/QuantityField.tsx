import { NumberField } from '../ui/Fields'
import { shown, stored, unitOf, type Quantity } from './units'
import { useSystem } from './useSay'

/** A number in the units of the operation; what it gives and takes is metric. */
export function QuantityField({
  name,
  quantity,
  value,
  min,
  max,
  required = false,
  onChange,
}: {
  /** without the unit, which is added */
  name: string
  quantity: Quantity
  value: number | undefined
  min?: number
  max?: number
  required?: boolean
  onChange: (metric: number | undefined) => void
}) {
  const system = useSystem()
  return (
    <NumberField
      name={`${name}, ${unitOf(quantity, system)}`}
      required={required}
      step={quantity === 'height' ? 1 : 0.1}
      {...(min === undefined ? {} : { min: Math.ceil(shown(quantity, min, system)) })}
      {...(max === undefined ? {} : { max: Math.floor(shown(quantity, max, system)) })}
      value={value === undefined ? undefined : shown(quantity, value, system)}
      onChange={(typed) =>
        onChange(typed === undefined ? undefined : stored(quantity, typed, system))
      }
    />
  )
}
