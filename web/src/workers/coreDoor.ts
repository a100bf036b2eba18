import CoreWorker from './core.worker.ts?worker'
import { jobDoor } from './jobDoor.ts'

/** The teacher's pages share one job queue. */
export const coreDoor = jobDoor(() => new CoreWorker({ name: 'esfuerzo-core' }))
