import type { PlayFor } from '../../publication/playFor.ts'
import type { QuizBlock } from './schema.ts'

/** The questions are answered. */
export const quizPlay: PlayFor<QuizBlock> = ({ questions }) => ({ form: 'quiz', questions })
