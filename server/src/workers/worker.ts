import { indexLibrary, ProblemError, type Problem } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { libraryWords } from '@esfuerzo/library/words'
import { works, type WorkName, type Works } from './works.ts'

const library = indexLibrary({ ...libraryData, words: libraryWords })

/** What a worker is given: `begun` becomes 1 once it is at it, for whoever waits to see. */
export interface Task<N extends WorkName = WorkName> {
  name: N
  asked: Works[N]['asked']
  begun: Int32Array<SharedArrayBuffer>
}
export type Outcome<N extends WorkName> = { answer: Works[N]['answer'] } | { problems: Problem[] }

/** The worker's one door. Problems come back as data: an error would lose them on its way between threads. */
export default async function work<N extends WorkName>({ name, asked, begun }: Task<N>): Promise<Outcome<N>> {
  Atomics.store(begun, 0, 1)
  try {
    return { answer: await works[name](asked, library) }
  } catch (error) {
    if (error instanceof ProblemError) return { problems: error.problems }
    throw error
  }
}
