import { z } from 'zod'
import { rule } from '../../base/problem.ts'
import { lineSchema } from '../../base/text.ts'
import { blockFields } from '../../session/blockParts.ts'

export const questionSchema = z
  .strictObject({
    ask: lineSchema.min(1),
    answers: z.array(lineSchema.min(1)).min(2).max(4),
    /** Index of the right answer. */
    right: z.int().min(0).max(3),
    why: lineSchema,
  })
  .refine((q) => q.right < q.answers.length, {
    path: ['right'],
    error: rule('oneOfItsAnswers'),
    params: { code: 'too-large' },
  })
export type Question = z.infer<typeof questionSchema>

/** A few questions on vocabulary, muscles or form. */
export const quizSchema = z.strictObject({
  ...blockFields,
  form: z.literal('quiz'),
  questions: z.array(questionSchema).max(8),
})
export interface QuizBlock extends z.infer<typeof quizSchema> {}

/** A new quiz: without a question. */
export const newQuiz = (id: string): QuizBlock => ({ id, form: 'quiz', questions: [] })
