import { pathText, type Problem } from '../base/problem.ts'
import { problemsInEnglish } from './en/problems.ts'
import type { ProblemWords } from './problemWords.ts'

/**
 * A problem's sentence without its place: for a field that shows it next to itself.
 *
 * @param words of the language; English by default
 * @example problemSentence({ code: 'unread', path: [], received: 'plnak', expected: { oneOf: ['Plank'] } })
 * // 'Nothing can be made of "plnak"; did you mean Plank?'
 */
export function problemSentence(problem: Problem, words: ProblemWords = problemsInEnglish): string {
  const sentence = words.sentence(problem)
  return sentence.charAt(0).toUpperCase() + sentence.slice(1)
}

/**
 * One problem as a sentence: where, what, and what would be right.
 *
 * @param words of the language; English by default
 * @example problemText({ code: 'unknown-key', path: ['sections', 0, 'colour'], received: 'colour' })
 * // 'sections[0].colour: "colour" is not a field here; check the spelling or take it out'
 */
export const problemText = (problem: Problem, words: ProblemWords = problemsInEnglish): string =>
  `${placeOf(problem, words)}: ${words.sentence(problem)}`

function placeOf(problem: Problem & { line?: number; column?: number }, words: ProblemWords): string {
  const { path, line, column } = problem
  if (line !== undefined && column !== undefined) return words.line(line, column)
  return path.length ? pathText(path) : words.whole
}
