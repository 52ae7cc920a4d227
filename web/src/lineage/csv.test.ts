import { describe, expect, it } from 'vitest'
import { cell, csvOf } from './csv'

describe('the list as a file', () => {
  it('quotes what RFC 4180 wants quoted', () => {
    expect(cell('Larch, upper')).toBe('"Larch, upper"')
    expect(cell('the "old" one')).toBe('"the ""old"" one"')
    expect(cell(undefined)).toBe('')
  })

  it('lets no spreadsheet run a name as a formula', () => {
    expect(cell('=HYPERLINK("x")')).toBe('"\'=HYPERLINK(""x"")"')
    expect(cell('@sum')).toBe("'@sum")
  })

  it('has a line for each queen under its header', () => {
    const text = csvOf([
      {
        id: '1',
        code: 'R-24-03',
        name: 'Runa',
        line: 'Larch',
        stageText: 'laying',
        alive: true,
        breeder: true,
        mark: 'GREEN',
      },
    ])
    expect(text.split('\r\n')).toEqual([
      'code,name,line,born,mark,stageText,hive,yard,mother,merit,reliability',
      'R-24-03,Runa,Larch,,GREEN,laying,,,,,',
      '',
    ])
  })
})
