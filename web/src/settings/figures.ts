import type { OwnFigure, StandardFigure } from '../api/types'

/** A line of the form: three fields as typed, empty for "as the trade has it". */
export type FigureLine = { figure: OwnFigure['figure']; days: [string, string, string] }

export function linesOf(standard: StandardFigure[], own: OwnFigure[]): FigureLine[] {
  return standard.map(({ value }) => {
    const mine = own.find((one) => one.figure === value.figure)
    return {
      figure: value.figure,
      days: mine ? [String(mine.earliest), String(mine.likely), String(mine.latest)] : ['', '', ''],
    }
  })
}

/** Lines that are filled in; a line half filled in is named, and nothing is sent. */
export function ownFigures(lines: FigureLine[]): { own: OwnFigure[]; half: FigureLine[] } {
  const filled = lines.filter((line) => line.days.some((day) => day !== ''))
  return {
    own: filled
      .filter((line) => line.days.every((day) => day !== ''))
      .map(({ figure, days }) => ({
        figure,
        earliest: Number(days[0]),
        likely: Number(days[1]),
        latest: Number(days[2]),
      })),
    half: filled.filter((line) => line.days.some((day) => day === '')),
  }
}
