/**
 * The layers of the pages, from the bottom up: each may import those before it and none of those after it. Lint checks every import; a test
 * looks for import cycles.
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
 * A form of work is one folder, `forms/<form>`; each of its files is on the layer of its purpose.
 *
 * @type {readonly (readonly [RegExp, string])[]}
 */
const aspects = [
  [/labels\.\w+\.ts$|\/labels\.ts$|\/common\.\w+\.ts$/, 'words'],
  [/Play\.vue$|\/(?:play|plays|noted|formPlay|formScreen)\.ts$|\/TurnCard\.vue$/, 'player'],
  [/Editor\.vue$|\/\w+Fields\.vue$|\/Fact\w+\.vue$|\/(?:editors|summary|summaries)\.ts$/, 'compose'],
]

/**
 * The layer of a file of web/src.
 *
 * @param {string} file from web/src on
 * @example floorOf('forms/ladder/LadderPlay.vue') // 'player'
 */
export function floorOf(file) {
  const [folder] = file.split('/')
  if (folder !== 'forms') return file.includes('/') ? folder : undefined
  return aspects.find(([names]) => names.test(file))?.[1]
}
