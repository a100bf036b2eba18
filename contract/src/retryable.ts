import type { CallError } from './callError.ts'

/**
 * Whether the same request may go through by itself later: the server is away, renewed or busy. What is not is somebody's to change
 * first: its sender's, or whoever runs the server.
 */
const passes: Record<CallError['code'], boolean> = {
  offline: true,
  'database-away': true,
  'storage-full': true,
  'mail-away': true,
  busy: true,
  unexpected: true,
  'too-many-tries': true,
  // The page and the server are a release apart while servers are renewed.
  'newer-document': true,
  invalid: false,
  'sign-in-needed': false,
  'wrong-sign-in': false,
  'foreign-origin': false,
  'not-found': false,
  conflict: false,
  ended: false,
  'too-big': false,
  'too-dear': false,
  'recipient-refused': false,
  guarded: false,
}

/**
 * Whether a failed request is tried again by itself. One answer for every page.
 *
 * @example retryable('busy') // true
 * @example retryable('ended') // false
 */
export const retryable = (code: CallError['code']): boolean => passes[code]
