import { answered, api } from '../api/client'
import { usePages } from '../api/pages'

/** What is recorded of a thing, the newest first. */
export const useJournal = (subject: string) =>
  usePages(['journal', subject], (page) =>
    answered(
      api.GET('/api/v1/journal', {
        params: { query: { subject, page: page ? Number(page) : undefined } },
      }),
    ),
  )
