import { readPlan } from '@esfuerzo/plans'
import { vi } from 'vitest'
import type { Session } from '@esfuerzo/core'
import { planTerm, type PlanProblem } from '@esfuerzo/core/term'
import { library } from '../../src/repertoire/library.ts'
import type { JobName, Jobs } from '../../src/workers/jobs.ts'

/** Hears what a job is asked, before it runs: `nothing` is answered in its place, anything else lets it run. */
interface CoreJobs {
  asked: (name: JobName, ask: Jobs[JobName]['asked']) => unknown
}
// Files share modules, but each gets a new copy of this one.
const shared = globalThis as { coreJobs?: CoreJobs }
export const coreJobs = (shared.coreJobs ??= { asked: () => 'run' })

// jsdom has no workers: their work is done in this thread.
vi.mock('../../src/workers/coreDoor.ts', async () => {
  const { jobs } = await import('../../src/workers/jobs.ts')
  return {
    coreDoor: {
      run: async (name: JobName, session: Session, ask: never) => {
        const answer = await coreJobs.asked(name, ask)
        return answer === 'nothing' ? undefined : jobs[name](session, ask, library, () => {})
      },
    },
  }
})
vi.mock('../../src/workers/solver.ts', () => ({
  plan: (problem: PlanProblem) => planTerm(problem, async () => undefined),
}))
const bytesOf = (file: File): Promise<ArrayBuffer> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(reader.result as ArrayBuffer)
    reader.onerror = () => reject(new Error('not read'))
    reader.readAsArrayBuffer(file)
  })
vi.mock('../../src/workers/plans.ts', () => ({
  readPlanFile: vi.fn(async (file: File) => readPlan(new Uint8Array(await bytesOf(file)), file.name)),
}))
// It lays itself out, which jsdom cannot.
vi.mock('../../src/compose/tools/SpreadChart.vue', () => ({
  __esModule: true,
  default: { template: '<i class="chart" />' },
}))
