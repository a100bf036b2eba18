import type { CallError } from './callError.ts'

/** What happened; then what was kept and what to do. */
export interface ErrorWords {
  title: string
  detail: string
}

/**
 * Every error between a page and the server, in English: the server's responses and the teacher's pages use the same words. Another
 * language for teachers is another such table.
 */
export const errorsInEnglish: Record<CallError['code'], ErrorWords> = {
  invalid: {
    title: 'Something isn’t right yet',
    detail: 'Nothing was changed. Correct it and try again.',
  },
  'sign-in-needed': {
    title: 'You are signed out',
    detail: 'Nothing was changed. Sign in again. Your work stays on the screen.',
  },
  'wrong-sign-in': {
    title: 'Wrong e-mail or password',
    detail: 'Check both and try again.',
  },
  'foreign-origin': {
    title: 'This request came from another site',
    detail: 'Nothing was changed. Open Esfuerzo again and retry there.',
  },
  'not-found': {
    title: 'Not found',
    detail: 'It was deleted, or the address has a mistake. Your sessions are on the Desk.',
  },
  conflict: {
    title: 'Edited in another tab or on another device',
    detail: 'Both versions are kept. Reload the page, or keep yours as a copy.',
  },
  'newer-document': {
    title: 'Made with a newer version of Esfuerzo',
    detail:
      'Nothing was changed, and your work is kept. Reload the page. If that doesn’t help, the server is being updated: try again later.',
  },
  ended: {
    title: 'This link has ended',
    detail: 'Ask the sender for a new one. A session saved on a device still runs.',
  },
  'too-big': { title: 'Too large', detail: 'Nothing was changed. A session can have up to 512 KiB.' },
  'too-dear': {
    title: 'Too large to calculate',
    detail: 'Nothing was changed. Use fewer rounds, draws, stations or groups.',
  },
  'too-many-tries': { title: 'Too many tries', detail: 'Wait a few minutes, then try again.' },
  guarded: {
    title: 'Too many wrong passwords for this account',
    detail: 'For a while you also need a mailed link. If the password was right, the link is on its way.',
  },
  unexpected: {
    title: 'Something went wrong on the server',
    detail: 'Nothing was changed. Try again. If it happens again, tell the person who runs the server.',
  },
  'storage-full': {
    title: 'The server’s storage is full',
    detail: 'Nothing was changed, and your work is kept on this page. Tell the person who runs the server.',
  },
  'mail-away': {
    title: 'Messages can’t be sent right now',
    detail: 'Nothing was changed. Try again later. If it happens again, tell the person who runs the server.',
  },
  'recipient-refused': {
    title: 'The mail server refused this address',
    detail: 'No message was sent. Check the address for typos, then send it again.',
  },
  busy: { title: 'The server is busy', detail: 'Nothing was changed. Try again in a moment.' },
  'database-away': {
    title: 'The server can’t reach its database',
    detail: 'Nothing was changed. It usually works again in a moment. The page retries automatically.',
  },
  offline: {
    title: 'No connection to the server',
    detail: 'Nothing is lost. Try again when you’re back online.',
  },
}
