import createClient from 'openapi-fetch'
import type { paths } from './schema'

export const api = createClient<paths>({ baseUrl: '/' })

api.use({
  onRequest({ request }) {
    const token = document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]+)/)?.[1]
    if (token && request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', token)
    return request
  },
})

export type Finding = { field: string; message: string }

/** A refusal of the server: what was wrong, where, and what to change. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly findings: Finding[],
  ) {
    super(message)
  }
}

/** The server could not be reached, or has too much to do: nothing was refused, nothing was kept. */
export class Unreachable extends Error {
  /** @param said what the server said to it, empty if it said nothing */
  constructor(
    readonly said: string,
    options?: ErrorOptions,
  ) {
    super('unreachable', options)
  }
}

type Answer<T> = { data?: T; error?: unknown; response: Response }

/** The data of an answer; refusals and lost connections become errors that screens can tell apart. */
export async function answered<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await call
  } catch (cause) {
    throw new Unreachable('', { cause })
  }
  if (answer.response.ok) return answer.data as T
  throw refusal(answer.response.status, answer.error)
}

function refusal(status: number, body: unknown): Error {
  const problem = typeof body === 'object' && body !== null ? (body as Record<string, unknown>) : {}
  const said = typeof problem.detail === 'string' ? problem.detail : ''
  // a server that failed has refused nothing: not yet, says it, and so does a gateway that is down
  if (status >= 500 || status === 429) return new Unreachable(said)
  const detail = said || `HTTP ${status}`
  const findings = Array.isArray(problem.findings) ? (problem.findings as Finding[]) : []
  return new Refused(status, detail, findings)
}
