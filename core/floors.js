/**
 * The layers of the core, from the bottom up: each may import those before it and none of those after it. Lint checks every import; a test
 * looks for import cycles.
 */
export const floors = [
  ['base', 'problems, limits, texts and ids: what everything speaks of'],
  ['distribution', 'chances, draws, quantiles: mathematics without a session'],
  ['pick', 'so many of a list, the best together: exactly'],
  ['load', 'weights of a home'],
  ['results', 'what a pulse comes to, and a belt’s bytes'],
  ['documents', 'how a document is read, migrated and written'],
  ['figure', 'the drawn child: joints, poses, things'],
  ['terms', 'the words of the trade: moves, doses, groups, units, settings, a value per group'],
  ['session', 'the document a teacher makes, its forms of work, its edits'],
  ['library', 'moves to be looked up, and edits that have to'],
  ['sums', 'sums for a child to work out'],
  ['home', 'what a home allows'],
  ['timing', 'a lane, second by second'],
  ['pulse', 'a lane’s pulse, predicted'],
  ['quiz', 'questions made of a session'],
  ['notation', 'whiteboard text'],
  ['oldPlans', 'documents and tables as lines of text, and back'],
  ['bounds', 'how much a grade, a block, a clock may ask'],
  ['choose', 'which move: search, filter, what is like it, how it is put in'],
  ['chance', 'when children finish, what chance brings'],
  ['arrange', 'the order of stations'],
  ['checks', 'what a thoughtful colleague would say'],
  ['words', 'what is said, in two languages'],
  ['fit', 'ways to end in time'],
  ['publication', 'what is sent home'],
  ['run', 'how a child runs it'],
  ['nextTime', 'what comes next: from what came back one lever, the smallest step'],
  ['suggest', 'what a place leaves open, and what would fill it'],
  ['draft', 'three sessions of different intent, each with a thread'],
  ['term', 'which session comes home on which day of a term'],
  ['sheets', 'what paper says'],
  ['change', 'what changed beside how a measure varies, and a class’s own pace'],
  ['classBook', 'pupils by alias, their codes, what they did and until when it is kept'],
  ['cues', 'what is heard of a step'],
  ['formats', 'captions, sound, Markdown'],
  ['public', 'what other workspaces may ask for, a list a subject'],
]

/** A form of work is one folder, `forms/<form>`; each of its files is on the layer of its topic. */
export const aspects = {
  // What chance alone has: its things, its model, what it comes to, how it is played.
  things: 'terms',
  model: 'timing',
  gameSeconds: 'timing',
  playGame: 'timing',
  outlook: 'chance',
  game: 'run',
  schema: 'session',
  traits: 'session',
  time: 'timing',
  notation: 'notation',
  'words.en': 'words',
  'words.es': 'words',
  levers: 'fit',
  next: 'nextTime',
  draft: 'draft',
  play: 'publication',
  played: 'run',
  sheet: 'sheets',
}

/**
 * The layer of a file of core/src; undefined for files above all layers.
 *
 * @param {string} file from core/src on
 * @example floorOf('forms/ladder/time.ts') // 'timing'
 */
export function floorOf(file) {
  const [folder, , name] = file.split('/')
  if (folder === 'forms') return aspects[name?.replace(/\.ts$/, '')]
  return file.includes('/') ? folder : undefined
}
