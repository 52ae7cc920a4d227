/**
 * What is shown in the units of the operation. Stored and sent is always metric. Factors: NIST Special Publication 811 (2008),
 * appendix B (the foot, pound and gallon of the United States, by definition).
 */
export type System = 'METRIC' | 'US'

export type Quantity =
  | 'temperature' // °C
  | 'weight' // kg
  | 'volume' // l
  | 'area' // dm²
  | 'height' // m
  | 'distance' // m

type Scale = { unit: string; perUnit: number; zero?: number; digits: number }

const METRIC: Record<Quantity, Scale> = {
  temperature: { unit: '°C', perUnit: 1, digits: 1 },
  weight: { unit: 'kg', perUnit: 1, digits: 1 },
  volume: { unit: 'l', perUnit: 1, digits: 1 },
  area: { unit: 'dm²', perUnit: 1, digits: 1 },
  height: { unit: 'm', perUnit: 1, digits: 0 },
  distance: { unit: 'km', perUnit: 1000, digits: 1 },
}

const US: Record<Quantity, Scale> = {
  temperature: { unit: '°F', perUnit: 5 / 9, zero: 32, digits: 0 },
  weight: { unit: 'lb', perUnit: 0.45359237, digits: 1 },
  volume: { unit: 'gal', perUnit: 3.785411784, digits: 2 },
  area: { unit: 'sq in', perUnit: 0.064516, digits: 0 },
  height: { unit: 'ft', perUnit: 0.3048, digits: 0 },
  distance: { unit: 'mi', perUnit: 1609.344, digits: 1 },
}

const scaleOf = (quantity: Quantity, system: System) => (system === 'US' ? US : METRIC)[quantity]

const rounded = (value: number, digits: number) => Number(value.toFixed(digits))

export const unitOf = (quantity: Quantity, system: System): string => scaleOf(quantity, system).unit

/** A metric value as it is shown, rounded to what is worth showing. */
export function shown(quantity: Quantity, metric: number, system: System): number {
  const { perUnit, zero = 0, digits } = scaleOf(quantity, system)
  return rounded(metric / perUnit + zero, digits)
}

/** What was typed, in metric. */
export function stored(quantity: Quantity, typed: number, system: System): number {
  const { perUnit, zero = 0 } = scaleOf(quantity, system)
  return rounded((typed - zero) * perUnit, 4)
}

/** "18.5 kg", "41 lb", "64 °F"; short ways in metres or feet. */
export function say(quantity: Quantity, metric: number, system: System): string {
  if (quantity === 'distance' && metric < 1000) return say('height', metric, system)
  return `${shown(quantity, metric, system).toLocaleString('en')} ${unitOf(quantity, system)}`
}

/** "18–22 kg" */
export const saySpan = (quantity: Quantity, least: number, most: number, system: System): string =>
  `${shown(quantity, least, system)}–${shown(quantity, most, system)} ${unitOf(quantity, system)}`
