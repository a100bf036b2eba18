import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** The questions with their answers. */
export const quizSheet: FormSheet<PlayOf<'quiz'>> = {
  lines: ({ questions }) => questions.map((q) => `${q.ask}  ${q.answers.join(' / ')}`),
}
