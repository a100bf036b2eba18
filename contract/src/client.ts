import type { z } from 'zod'
import { allDocumentKinds, ProblemError, readCarried, writtenCarried } from '@esfuerzo/core'
import { call } from './call.ts'
import { CallError } from './callError.ts'
import { endpoints, type EndpointName, type Endpoints } from './endpoints.ts'

type Part<N extends EndpointName, K extends 'params' | 'query' | 'body'> =
  Record<string, never> extends z.input<Endpoints[N][K]>
    ? { [P in K]?: z.input<Endpoints[N][K]> }
    : { [P in K]: z.input<Endpoints[N][K]> }
export type CallInput<N extends EndpointName> = Part<N, 'params'> & Part<N, 'query'> & Part<N, 'body'>
export type CallAnswer<N extends EndpointName> = z.output<Endpoints[N]['answer']>

/**
 * The error code of a failed call, from which a page makes its message; `unexpected` for anything that is not a failed call.
 *
 * @example callCode(new TypeError('no such thing')) // 'unexpected'
 */
export const callCode = (error: unknown): CallError['code'] => (error instanceof CallError ? error.code : 'unexpected')

/** Calls the server's routes by name. */
export type Client = <N extends EndpointName>(name: N, input: CallInput<N>) => Promise<CallAnswer<N>>

/**
 * Makes a client from a `fetch`.
 *
 * @param fetcher how to reach the server: a page's own `fetch`, or a test's
 * @throws {CallError} from every call, with the server's code and problems, or `offline`; `newer-document` if the answer holds a document
 *   of a later release than this page's
 */
export function createClient(fetcher: typeof fetch): Client {
  return async (name, input) => {
    const { method, path } = endpoints[name]
    const {
      params = {},
      query = {},
      body,
    } = input as { params?: Record<string, string>; query?: Record<string, string>; body?: unknown }
    let url = path.replace(/:(\w+)/g, (_, key: string) => encodeURIComponent(params[key] ?? ''))
    const search = new URLSearchParams(Object.entries(query).filter(([, v]) => v !== undefined)).toString()
    if (search) url += `?${search}`
    const answer = await call(fetcher, method, url, body && writtenCarried(allDocumentKinds, body))
    try {
      return readCarried(allDocumentKinds, answer) as never
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      const newer = error.problems.some((p) => p.code === 'newer-version')
      throw new CallError(newer ? 'newer-document' : 'unexpected', error.message, error.problems, error)
    }
  }
}
