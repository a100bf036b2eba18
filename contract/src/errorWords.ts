import type { CallError } from './callError.ts'

/** What happened; what was kept and what to do. */
export interface ErrorWords {
  title: string
  detail: string
}

/**
 * What can go wrong between a page and the server, in English: the server's documents and the teacher's pages say the same. Another
 * language of the teacher's is another such table.
 */
export const errorsInEnglish: Record<CallError['code'], ErrorWords> = {
  invalid: {
    title: 'That cannot be taken as it is',
    detail: 'Nothing was changed. Put it right and send it again.',
  },
  'sign-in-needed': {
    title: 'You are signed out',
    detail: 'Nothing was changed. Sign in again; what is on screen stays.',
  },
  'wrong-sign-in': {
    title: 'That did not fit',
    detail: 'No account goes with this address and password. Check both and try again.',
  },
  'foreign-origin': {
    title: 'That did not come from Esfuerzo itself',
    detail: 'Nothing was changed. Open Esfuerzo anew and try there.',
  },
  'not-found': {
    title: 'Nothing is there',
    detail: 'It was taken away, or the address has a mistake in it. Your sessions are on the Desk.',
  },
  conflict: {
    title: 'It was changed in another tab or on another device meanwhile',
    detail: 'What is stored was kept, and so is what you have here. Load it again, or keep yours as a copy.',
  },
  'newer-document': {
    title: 'It was made with a newer Esfuerzo than this',
    detail:
      'Nothing was changed, and what you have here is kept. Load the page again; if it stays, the server is about to be renewed: try in a while.',
  },
  ended: {
    title: 'This link has ended',
    detail: 'Only whoever sent it can make a new one. A copy kept on a device still runs.',
  },
  'too-big': { title: 'That is too large', detail: 'Nothing was changed. A session has room for 512 KiB.' },
  'too-dear': {
    title: 'It is too much to work out',
    detail: 'Nothing was changed. Fewer rounds, draws, stations or groups help.',
  },
  'too-many-tries': { title: 'Too many tries', detail: 'Wait a few minutes, then try again.' },
  guarded: {
    title: 'Many wrong passwords were tried for this account',
    detail:
      'For a while the right one alone does not open it. If it was right, a message with a link to sign in is on its way.',
  },
  unexpected: {
    title: 'Something went wrong on the server',
    detail: 'Nothing was changed. Try again; if it stays, tell whoever looks after it.',
  },
  'storage-full': {
    title: 'The server has no room left',
    detail: 'Nothing was changed, and what your page has is kept. Tell whoever looks after the server.',
  },
  'mail-away': {
    title: 'No message can be sent at the moment',
    detail: 'Nothing was changed. Try again later; if it stays, tell whoever looks after the server.',
  },
  'recipient-refused': {
    title: 'The mail server refused this address',
    detail: 'No message was sent. Check the address for typing mistakes, then send it again.',
  },
  busy: { title: 'The server has its hands full', detail: 'Nothing was changed. Try again in a moment.' },
  'database-away': {
    title: "The server's database is away",
    detail: 'Nothing was changed. It is usually back in a moment; your page tries again by itself.',
  },
  offline: {
    title: 'The server cannot be reached',
    detail: 'Nothing is lost. Try again when you are back online.',
  },
}
