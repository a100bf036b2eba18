import { writtenRun, type Run } from '@esfuerzo/core/run'
import { call } from './call.ts'
import type { CallAnswer } from './client.ts'

export { CallError } from './callError.ts'

/**
 * What a family's page needs from the server, without the schemas of everything else, because such a page has to be small. A test checks
 * its addresses against the endpoints.
 */
export interface FamilyClient {
  resolveLink: (token: string) => Promise<CallAnswer<'resolveLink'>>
  snapshot: (sha256: string) => Promise<unknown>
  /** @param key of the pupil the run belongs to */
  sendRun: (token: string, run: Run, key?: string) => Promise<CallAnswer<'sendRun'>>
  giveCode: (token: string, code: string) => Promise<CallAnswer<'giveCode'>>
}

/** @param fetcher how to reach the server */
export const familyClient = (fetcher: typeof fetch): FamilyClient => ({
  resolveLink: async (token) => (await call(fetcher, 'GET', `/api/go/${token}`)) as CallAnswer<'resolveLink'>,
  snapshot: (sha256) => call(fetcher, 'GET', `/snapshots/${sha256}`),
  sendRun: async (token, run, key) =>
    (await call(
      fetcher,
      'POST',
      `/api/go/${token}/runs`,
      writtenRun(run),
      key ? { 'pupil-key': key } : {},
    )) as CallAnswer<'sendRun'>,
  giveCode: async (token, code) =>
    (await call(fetcher, 'POST', `/api/go/${token}/code`, { code })) as CallAnswer<'giveCode'>,
})
export { retryable } from './retryable.ts'
