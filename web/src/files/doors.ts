import { answered, api } from '../api/client'

/** What can be brought in from a CSV. */
export const KINDS = ['apiary', 'orders', 'weather', 'pedigree', 'scores'] as const
export type Kind = (typeof KINDS)[number]

export type Row = { line: number; problems: string[] } & Record<string, unknown>
export type Looked = { rows: Row[]; good: number; bad: number }
type Counts = Record<string, number | boolean | string>

type Door = {
  /** shown in the preview, where any row has them */
  columns: string[]
  /** goes on beside other work: its progress is asked for */
  isLong: boolean
  preview: (csv: string, yard: string) => Promise<Looked>
  confirm: (id: string, csv: string, yard: string, skipBadRows: boolean) => Promise<Counts>
}

export const DOORS: Record<Kind, Door> = {
  apiary: {
    columns: [
      'row',
      'yard',
      'hive',
      'boxes',
      'code',
      'name',
      'stage',
      'year',
      'mark',
      'mother',
      'day',
    ],
    isLong: true,
    preview: async (csv) => {
      const looked = await answered(api.POST('/api/v1/imports/apiary/preview', { body: { csv } }))
      return { ...looked, rows: looked.rows.map((row) => ({ ...row.cells, ...row })) }
    },
    confirm: (id, csv, _yard, skipBadRows) =>
      answered(
        api.PUT('/api/v1/imports/apiary/{id}', {
          params: { path: { id } },
          body: { csv, skipBadRows },
        }),
      ),
  },
  orders: {
    columns: ['customer', 'product', 'count', 'until'],
    isLong: false,
    preview: (csv) => answered(api.POST('/api/v1/imports/orders/preview', { body: { csv } })),
    confirm: (id, csv, _yard, skipBadRows) =>
      answered(
        api.PUT('/api/v1/imports/orders/{id}', {
          params: { path: { id } },
          body: { csv, skipBadRows },
        }),
      ),
  },
  pedigree: {
    columns: ['queen', 'what'],
    isLong: false,
    preview: (csv) => answered(api.POST('/api/v1/imports/pedigree/preview', { body: { csv } })),
    confirm: (id, csv, _yard, skipBadRows) =>
      answered(
        api.PUT('/api/v1/imports/pedigree/{id}', {
          params: { path: { id } },
          body: { csv, skipBadRows },
        }),
      ),
  },
  scores: {
    columns: ['queen', 'what'],
    isLong: false,
    preview: (csv) => answered(api.POST('/api/v1/imports/scores/preview', { body: { csv } })),
    confirm: (id, csv, _yard, skipBadRows) =>
      answered(
        api.PUT('/api/v1/imports/scores/{id}', {
          params: { path: { id } },
          body: { csv, skipBadRows },
        }),
      ),
  },
  weather: {
    columns: ['yard', 'day'],
    isLong: false,
    preview: (csv, yard) =>
      answered(
        api.POST('/api/v1/imports/weather/preview', { body: { csv, ...(yard ? { yard } : {}) } }),
      ),
    confirm: (id, csv, yard, skipBadRows) =>
      answered(
        api.PUT('/api/v1/imports/weather/{id}', {
          params: { path: { id } },
          body: { csv, skipBadRows, ...(yard ? { yard } : {}) },
        }),
      ),
  },
}
