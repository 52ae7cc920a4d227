// @vitest-environment jsdom
import { describe, expect, it } from 'vitest'
import type { ColonyPage } from '../api/types'
import { cell } from '../testing/stage'
import { unmarkedWhereMarked } from './unmarked'

type Page = Pick<ColonyPage, 'queens' | 'readings'>

const page = (seen: string[], mark: string) =>
  ({
    queens: [cell('R-24-03', { stage: 'JUDGED', mark })],
    readings: [{ reading: { seen } }, { reading: { seen: ['QUEEN_UNMARKED'] } }],
  }) as unknown as Page

describe('an unmarked queen where a marked one was', () => {
  it('is asked about at her hive after the look that found her', () => {
    expect(unmarkedWhereMarked(page(['QUEEN_UNMARKED'], 'GREEN'))?.code).toBe('R-24-03')
  })

  it('is no question where the record knows of no mark, or a later look found the marked one', () => {
    expect(unmarkedWhereMarked(page(['QUEEN_UNMARKED'], ''))).toBeUndefined()
    expect(unmarkedWhereMarked(page(['QUEEN_MARKED'], 'GREEN'))).toBeUndefined()
  })
})
