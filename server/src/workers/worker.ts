import { indexLibrary, ProblemError, type Problem } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { libraryWords } from '@esfuerzo/library/words'
import { jobs, type JobName, type Jobs } from './jobs.ts'

const library = indexLibrary({ ...libraryData, words: libraryWords })

/** What a worker gets: `begun` becomes 1 once it starts, for those who wait. */
export interface Task<N extends JobName = JobName> {
  name: N
  asked: Jobs[N]['asked']
  begun: Int32Array<SharedArrayBuffer>
}
export type JobOutcome<N extends JobName> = { answer: Jobs[N]['answer'] } | { problems: Problem[] }

/** The worker's only entry. Problems are returned as data: an error would lose them on its way between threads. */
export default async function work<N extends JobName>({ name, asked, begun }: Task<N>): Promise<JobOutcome<N>> {
  Atomics.store(begun, 0, 1)
  try {
    return { answer: await jobs[name](asked, library) }
  } catch (error) {
    if (error instanceof ProblemError) return { problems: error.problems }
    throw error
  }
}
