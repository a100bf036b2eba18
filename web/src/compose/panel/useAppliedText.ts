import { shallowRef, type Ref, type ShallowRef } from 'vue'
import { ProblemError, type Session } from '@esfuerzo/core'
import { applyText, type AppliedText, type Question } from '@esfuerzo/core/notation'
import type { Told } from '../../reading/useAnswers.ts'
import { library } from '../../repertoire/library.ts'
import { problemText } from '../../words/i18n.ts'
import { useSession } from '../session/useSession.ts'

/** A text applied to the session: its open questions, the lines of its parts, and why it is refused. */
export interface PutText {
  questions: ShallowRef<readonly Question[]>
  /** The line of each part of the session, by its id. */
  lines: ShallowRef<ReadonlyMap<string, number>>
  refused: ShallowRef<string>
  /** The session that the text gives. @throws {ProblemError} */
  applied: (told?: Told) => AppliedText
  /** The session of the text; undefined if there is none, and `refused` says why. */
  put: () => Session | undefined
}

/** @param told the answers about words and about this text */
export function useAppliedText(text: Ref<string>, told: Ref<Told>): PutText {
  const session = useSession()
  const questions = shallowRef<readonly Question[]>([])
  const lines = shallowRef<ReadonlyMap<string, number>>(new Map())
  const refused = shallowRef('')
  const applied = (all = told.value) => applyText(text.value, session.document, library, all)
  return {
    questions,
    lines,
    refused,
    applied,
    put() {
      try {
        const read = applied()
        questions.value = read.questions
        lines.value = read.lines
        refused.value = read.problems.map(problemText).join('\n')
        return read.workout
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error
        refused.value = error.problems.map(problemText).join('\n')
        return undefined
      }
    },
  }
}
