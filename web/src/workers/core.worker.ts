import { expose } from 'comlink'
import { z } from 'zod'
import { indexLibrary, ProblemError, sessionProblems, type Problem, type Session } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { jobs, type JobName, type Jobs } from './jobs.ts'

// As in the page: no code is generated at run time.
z.config({ jitless: true })
const library = indexLibrary(libraryData)

export type JobOutcome<N extends JobName> = { answer: Jobs[N]['answer'] } | { problems: Problem[] }

/** The worker's only entry. Problems are returned as data: an error would lose them on its way between threads. */
export const door = {
  run<N extends JobName>(
    name: N,
    session: Session,
    asked: Jobs[N]['asked'],
    report: (share: number) => void,
  ): JobOutcome<N> {
    try {
      const problems = sessionProblems(session, library)
      if (problems.length) return { problems }
      return { answer: jobs[name](session, asked, library, report) }
    } catch (error) {
      if (error instanceof ProblemError) return { problems: error.problems }
      throw error
    }
  },
}
export type Door = typeof door

expose(door)
