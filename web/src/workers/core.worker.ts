import { expose } from 'comlink'
import { z } from 'zod'
import { indexLibrary, ProblemError, sessionProblems, type Problem, type Workout } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { works, type WorkName, type Works } from './works.ts'

// As in the page: no code is made at run time.
z.config({ jitless: true })
const library = indexLibrary(libraryData)

export type Outcome<N extends WorkName> = { answer: Works[N]['answer'] } | { problems: Problem[] }

/** The worker's one door. Problems come back as data: an error would lose them on its way between threads. */
export const door = {
  run<N extends WorkName>(
    name: N,
    workout: Workout,
    asked: Works[N]['asked'],
    report: (share: number) => void,
  ): Outcome<N> {
    try {
      const problems = sessionProblems(workout, library)
      if (problems.length) return { problems }
      return { answer: works[name](workout, asked, library, report) }
    } catch (error) {
      if (error instanceof ProblemError) return { problems: error.problems }
      throw error
    }
  },
}
export type Door = typeof door

expose(door)
