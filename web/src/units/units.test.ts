import { describe, expect, it } from 'vitest'
import { say, saySpan, shown, stored, type Quantity } from './units'

describe('units', () => {
  it('follow the definitions of the pound, the gallon, the foot and the degree (NIST SP 811)', () => {
    expect(say('temperature', 100, 'US')).toBe('212 °F')
    expect(say('temperature', -40, 'US')).toBe('-40 °F')
    expect(say('temperature', 34.5, 'METRIC')).toBe('34.5 °C')
    expect(say('weight', 10, 'US')).toBe('22 lb')
    expect(say('volume', 3.785411784, 'US')).toBe('1 gal')
    expect(say('height', 3048, 'US')).toBe('10,000 ft')
    expect(say('distance', 1609.344, 'US')).toBe('1 mi')
    expect(say('area', 11.3, 'US')).toBe('175 sq in')
  })

  it('say short ways in metres or feet', () => {
    expect(say('distance', 40, 'METRIC')).toBe('40 m')
    expect(say('distance', 40, 'US')).toBe('131 ft')
    expect(say('distance', 5200, 'METRIC')).toBe('5.2 km')
  })

  it('say spans with one unit', () => {
    expect(saySpan('weight', 8, 12, 'METRIC')).toBe('8–12 kg')
    expect(saySpan('weight', 8, 12, 'US')).toBe('17.6–26.5 lb')
  })

  it.each<Quantity>(['temperature', 'weight', 'volume', 'area', 'height', 'distance'])(
    'what is typed in %s is shown again as it was typed',
    (quantity) => {
      for (const typed of [1, 7, 34, 95, 310])
        for (const system of ['METRIC', 'US'] as const)
          expect(shown(quantity, stored(quantity, typed, system), system)).toBeCloseTo(typed, 1)
    },
  )
})
