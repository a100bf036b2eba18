import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { QuizBlock } from './schema.ts'

/** Questions have no fixed length. */
export const quizTraits: FormTraits<QuizBlock> = { ...plainTraits }
