import { type Problem } from '@esfuerzo/core'
import { problemSentence } from '../words/i18n.ts'

/** Why a session can't be sent home, in words; an empty session gets its own sentence. */
export const sendingProblemText = (problem: Problem, t: (key: string) => string): string =>
  problem.code === 'too-small' ? t('handout.nothing') : problemSentence(problem)
