/**
 * The floors of the pages, from the ground up: each stands on those before it and knows nothing of those after it. Lint holds every
 * import to it, a test every circle.
 */
export const floors = [
  ['shared', 'what any page is made of: the way to the server, figures, lanes, looks'],
  ['player', 'a session as it is run'],
  ['family', 'what families open'],
  ['words', 'all that a teacher reads'],
  ['settings', 'what a school wants'],
  ['repertoire', 'the moves at hand: ours and the teacher’s own'],
  ['signin', 'whose pages they are'],
  ['workers', 'what is worked out beside the page'],
  ['documents', 'a document on screen: its history, its saving, what differs'],
  ['reading', 'what a text came to, and what it leaves open'],
  ['runs', 'what came back'],
  ['moves', 'the pages of the moves'],
  ['measures', 'the pages of the tests'],
  ['compose', 'a session made'],
  ['draft', 'three drafts side by side'],
  ['term', 'a term: weeks by home days, what it covers, a plan for it'],
  ['desk', 'all sessions'],
  ['handout', 'a session sent home'],
  ['classes', 'the class book'],
  ['account', 'the account’s page'],
  ['outbox', 'messages of the demo'],
  ['shell', 'the frame around the teacher’s views'],
]

/**
 * A form of work is one folder, `forms/<form>`; each of its files stands on the floor of what it is for.
 *
 * @type {readonly (readonly [RegExp, string])[]}
 */
const aspects = [
  [/labels\.\w+\.ts$|\/labels\.ts$|\/common\.\w+\.ts$/, 'words'],
  [/Play\.vue$|\/(?:play|plays|noted|formPlay|formScreen)\.ts$|\/TurnCard\.vue$/, 'player'],
  [/Editor\.vue$|\/\w+Fields\.vue$|\/Fact\w+\.vue$|\/(?:editors|summary|summaries)\.ts$/, 'compose'],
]

/**
 * The floor a file of web/src stands on.
 *
 * @param {string} file from web/src on
 * @example floorOf('forms/ladder/LadderPlay.vue') // 'player'
 */
export function floorOf(file) {
  const [folder] = file.split('/')
  if (folder !== 'forms') return file.includes('/') ? folder : undefined
  return aspects.find(([names]) => names.test(file))?.[1]
}
