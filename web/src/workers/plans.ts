import { releaseProxy, wrap } from 'comlink'
import { ProblemError, type Problem } from '@esfuerzo/core'
import { planBounds } from '@esfuerzo/plans/bounds'
import type { ReadPlan } from '@esfuerzo/plans'
import type { PlanDoor } from './plans.worker.ts'
import PlanWorker from './plans.worker.ts?worker'

/**
 * Reads an old plan in a worker of its own, which is ended when it is done, broken, or too slow.
 *
 * @throws {ProblemError} a code that starts with `file-`
 */
export async function readPlanFile(file: File): Promise<ReadPlan> {
  const refused = (code: Problem['code'], more: Partial<Problem> = {}) =>
    new ProblemError([{ code, path: [file.name], ...more }])
  if (file.size > planBounds.bytes)
    throw refused('file-too-big', { expected: { atMost: planBounds.bytes / 1024 / 1024, of: 'MiB' } })
  const bytes = new Uint8Array(await file.arrayBuffer())
  const thread = new PlanWorker({ name: 'esfuerzo-plans' })
  const remote = wrap<PlanDoor>(thread)
  let timer: ReturnType<typeof setTimeout> | undefined
  const ended = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(refused('file-slow')), planBounds.wait)
    thread.onerror = () => reject(refused('file-broken'))
  })
  try {
    const read = await Promise.race([remote.read(bytes, file.name), ended])
    if ('problems' in read) throw new ProblemError(read.problems)
    return read
  } finally {
    clearTimeout(timer)
    remote[releaseProxy]()
    thread.terminate()
  }
}
