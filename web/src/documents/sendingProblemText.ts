import { type Problem } from '@esfuerzo/core'
import { problemSentence } from '../words/i18n.ts'

/** What keeps a session from being sent home, in words: that there is nothing in it is said as one says it. */
export const sendingProblemText = (problem: Problem, t: (key: string) => string): string =>
  problem.code === 'too-small' ? t('handout.nothing') : problemSentence(problem)
