import type { Named } from '../names.ts'

/** What a teacher may say a name is. */
export type Answer = { as: 'move'; move: string; version?: string } | { as: 'own' } | { as: 'note' }

/** Something a text leaves open, with its answers, the likeliest first. What was taken meanwhile stands in the session. */
export interface Question {
  kind: 'name' | 'line'
  /** From 1. */
  line: number
  column: number
  length: number
  /** The words it is about, as they were written. */
  received: string
  answers: Answer[]
}

/** What a name can be: moves of the library most like it, a move of the teacher's own, words and no move. */
export const nameAnswers = (nearest: readonly Named[]): Answer[] => [
  ...nearest
    .slice(0, 3)
    .map(({ move, version }): Answer => ({ as: 'move', move: move.id, ...(version && { version }) })),
  { as: 'own' },
  { as: 'note' },
]

/** How an answer is remembered of a word: a move, `own`, or `note`. */
export const readingOf = (answer: Answer): string =>
  answer.as === 'move' ? `${answer.move}${answer.version ? `:${answer.version}` : ''}` : answer.as
