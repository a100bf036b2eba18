import { pathText, type Problem, type ProblemCode } from '../../base/problem.ts'

const got = (p: Problem) => (p.received === undefined ? '' : `, found ${p.received}`)
const want = (p: Problem, fallback: string) => p.expected ?? fallback

/** JSON's types as people call them; a list of choices or a sentence of its own stays as it is. */
const typeWords: Record<string, string> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no (true or false)',
  array: 'a list',
  object: 'an object with fields',
  record: 'an object with fields',
}
const wantType = (p: Problem) => (p.expected && typeWords[p.expected]) || want(p, 'something else')

/** What each problem says in English, after its path. */
const sentences: Record<ProblemCode, (p: Problem) => string> = {
  'not-json': (p) => `this is not JSON: ${p.received ?? 'it cannot be read'}`,
  'wrong-type': (p) => `should be ${wantType(p)}${got(p)}`,
  'unknown-key': (p) => `"${p.received}" is not a field here; check the spelling or take it out`,
  'not-a-choice': (p) => `should be one of ${want(p, 'the known choices')}${got(p)}`,
  'too-small': (p) => `should be ${want(p, 'more')}${got(p)}`,
  'too-large': (p) => `should be ${want(p, 'less')}${got(p)}`,
  'bad-text': () => 'has control characters or a broken emoji; type it again',
  'bad-format': (p) => `should be ${want(p, 'written differently')}${got(p)}`,
  'newer-version': (p) => `was made by a newer Esfuerzo (${p.received}); this one reads ${want(p, 'earlier versions')}`,
  'unknown-group': (p) => `there is no group "${p.received}"${p.expected ? `; the groups are ${p.expected}` : ''}`,
  'unknown-move': (p) => `there is no move "${p.received}" in the library`,
  'impossible-angle': (p) => `${p.received} is more than a body bends; it was set to ${p.expected}`,
  'unknown-version': (p) => `there is no version "${p.received}"${p.expected ? `; there are ${p.expected}` : ''}`,
  'duplicate-id': (p) => `"${p.received}" is used twice; give one of them another`,
  'too-many': (p) => `${want(p, 'fewer')}, found ${p.received ?? 'more'}`,
  'too-big': (p) => `is too large: ${want(p, 'make it smaller')}`,
  'not-found': (p) => `"${p.received}" is not there any more`,
  unread: (p) => `nothing can be made of "${p.received}"${p.expected ? `; did you mean ${p.expected}?` : ''}`,
  invalid: (p) => want(p, 'is not right'),
}

/**
 * What a problem says, without where: for a field that shows it beside itself.
 *
 * @example problemSentence({ code: 'unread', path: [], received: 'plnak', expected: 'Plank' })
 * // 'Nothing can be made of "plnak"; did you mean Plank?'
 */
export function problemSentence(problem: Problem): string {
  const words = sentences[problem.code](problem)
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/**
 * One problem as a sentence: where, what, and what would be right.
 *
 * @example problemEnglish({ code: 'unknown-key', path: ['sections', 0, 'colour'], received: 'colour' })
 * // 'sections[0].colour: "colour" is not a field here; check the spelling or take it out'
 */
export const problemEnglish = (problem: Problem): string =>
  `${pathText(problem.path)}: ${sentences[problem.code](problem)}`

export const problemCodesInEnglish = Object.keys(sentences) as ProblemCode[]
