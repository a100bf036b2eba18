import type { CallError } from './callError.ts'

/**
 * Whether the same request may succeed later without any change: the server is unreachable, restarting or busy. Any other failure needs
 * somebody to change something first: the sender, or whoever runs the server.
 */
const passes: Record<CallError['code'], boolean> = {
  offline: true,
  'database-away': true,
  'storage-full': true,
  'mail-away': true,
  busy: true,
  unexpected: true,
  'too-many-tries': true,
  // During an upgrade, the page and the server may be one release apart.
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
 * Whether a failed request is retried automatically. All pages use this one function.
 *
 * @example retryable('busy') // true
 * @example retryable('ended') // false
 */
export const retryable = (code: CallError['code']): boolean => passes[code]
