import { expose } from 'comlink'
import { ProblemError, type Problem } from '@esfuerzo/core'
import { readPlan, type ReadPlan } from '@esfuerzo/plans'

/** Reads an old plan: a broken or hostile file only takes this thread down. */
const door = {
  async read(bytes: Uint8Array, name: string): Promise<ReadPlan | { problems: Problem[] }> {
    try {
      return await readPlan(bytes, name)
    } catch (error) {
      if (error instanceof ProblemError) return { problems: error.problems }
      return { problems: [{ code: 'file-broken', path: [name] }] }
    }
  },
}
export type PlanDoor = typeof door
expose(door)
