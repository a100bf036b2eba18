import CoreWorker from './core.worker.ts?worker'
import { workDoor } from './workDoor.ts'

/** The teacher's pages share one door. */
export const coreDoor = workDoor(() => new CoreWorker({ name: 'esfuerzo-core' }))
