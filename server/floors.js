/**
 * The layers of the server, from the bottom up: each may import those before it and none of those after it. Lint checks every import; a
 * test looks for import cycles. Files outside folders are above all layers: `app.ts` assembles them, `main.ts` starts it.
 */
export const floors = [
  // What any feature stands on.
  ['base', 'the database, and what the environment says'],
  ['rights', 'whose a row is'],
  ['tables', 'many rows: read in batches, dropped a few at a time, as lines of a table'],
  ['gone', 'what was deleted just now, heard of by every server'],
  ['deletions', 'what was deleted for good, written down beside the database'],
  ['http', 'requests and answers: routes by the contract, limits, links, errors, logs, health'],
  ['zones', 'time zones the database knows'],
  ['mail', 'letters, and the outbox of the demo'],
  ['events', 'what was done with an account'],
  ['documents', 'documents that are saved by revisions, and the states they were in'],
  ['snapshots', 'what was sent home: stored once, never changed'],
  ['calendar', 'home days as a calendar file'],
  ['sheets', 'what paper looks like'],
  ['workers', 'long work beside the requests'],
  ['pages', 'the pages as files'],
  // Features: a teacher's things.
  ['settings', 'what a school wants'],
  ['originals', 'texts that sessions were begun from'],
  ['moves', 'moves of a teacher’s own'],
  ['shelf', 'pieces that are kept'],
  ['accounts', 'who a teacher is, and how she signs in'],
  ['sessions', 'sessions of a teacher'],
  ['copies', 'sessions given to colleagues'],
  ['classes', 'classes and their pace'],
  ['publications', 'links that lead to what was sent home'],
  ['pupils', 'pupils by alias, their codes, all that is kept of one'],
  ['results', 'values that runs brought, and until when they are kept'],
  ['runs', 'what came back'],
  ['book', 'the class book'],
  ['handout', 'a session on paper, in a calendar, in a message'],
  ['terms', 'which session comes home on which day'],
  ['export', 'everything of a teacher’s, as files'],
  // What goes over all of them.
  ['metrics', 'what is measured of a running server'],
  ['demo', 'the school of the demo'],
  ['cleanup', 'what is deleted, and when'],
  ['backup', 'backups, and what is done after one was restored'],
]
