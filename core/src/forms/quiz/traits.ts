import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { QuizBlock } from './schema.ts'

/** Questions take as long as they take. */
export const quizTraits: FormTraits<QuizBlock> = { ...plainTraits }
