import type { Settings } from '../api/types'

type Colour = Settings['marking'][number]

/** The five of the international code, in the order of the years. */
export const CODE: Colour[] = ['WHITE', 'YELLOW', 'RED', 'GREEN', 'BLUE']

/** Whatever people paint queens with. */
export const COLOURS: Colour[] = [...CODE, 'ORANGE', 'PINK', 'SILVER']

export const PAINT: Record<Colour, string> = {
  WHITE: '#ffffff',
  YELLOW: '#f2c521',
  RED: '#c8352b',
  GREEN: '#2f8a4c',
  BLUE: '#2864c7',
  ORANGE: '#e5701a',
  PINK: '#e58bb4',
  SILVER: '#b7bcc2',
}
