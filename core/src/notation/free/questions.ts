import type { Named } from '../names.ts'

/** What a teacher may say of what a text leaves open. */
export type Answer =
  /** What a name is. */
  | { as: 'move'; move: string; version?: string }
  | { as: 'own' }
  | { as: 'note' }
  /** What "three rounds" behind rows is of: of all of this part, or of those since the last. */
  | { as: 'all' | 'last'; rows: number }
  /** Whom a label means: a group of the session, or one it does not have yet. */
  | { as: 'group'; group: string; name: string }
  | { as: 'newGroup' }
  /** What to do with a text in another language. */
  | { as: 'read' | 'words' }

/** Something a text leaves open, with its answers, the likeliest first. What was taken meanwhile stands in the session. */
export interface Question {
  kind: 'name' | 'rounds' | 'group' | 'language'
  /** From 1. */
  line: number
  column: number
  length: number
  /** The words it is about, as they were written; of a language its ISO 639-1 code. */
  received: string
  answers: Answer[]
}

/** A question about words in a line. @param line and at from 0 */
export const questionAt = (
  kind: Question['kind'],
  line: number,
  at: number,
  received: string,
  answers: Answer[],
): Question => ({ kind, line: line + 1, column: at + 1, length: Math.max(1, received.length), received, answers })

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

/** What was said of one text and holds for it alone, by {@link choiceKey}. */
export type Choices = ReadonlyMap<string, Answer>

/** What an answer about a text is remembered by while it is read again. */
export const choiceKey = ({ kind, received }: Pick<Question, 'kind' | 'received'>): string =>
  `${kind} ${received.trim().toLowerCase()}`

/** Whether an answer is about a word, wherever it stands, and not about one text. */
export const isAboutWord = ({ kind }: Pick<Question, 'kind'>): boolean => kind === 'name'
