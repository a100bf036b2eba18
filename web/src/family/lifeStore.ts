import { type Run } from '@esfuerzo/core/run'
import * as z from 'zod/mini'
import { deviceStore } from '../shared/device/deviceStore.ts'
import { keptAmong } from '../shared/keptAs.ts'
import type { Life, LifeStore } from './runLife.ts'

const store = deviceStore('runs')

/** What the first release stored there: runs to send, by id. */
interface FirstQueued {
  token: string
  run: Run
}
const runShape = z.looseObject({ id: z.string(), publication: z.string(), group: z.string(), finishedAt: z.string() })
const laneShape = z.looseObject({ lane: z.string(), run: z.string() })
const shape = z.union([
  z.looseObject({
    id: z.string(),
    stage: z.enum(['underway', 'finished', 'answered']),
    token: z.string(),
    sha256: z.string(),
    title: z.string(),
    lanes: z.array(laneShape),
    startedAt: z.string(),
    keptAt: z.number(),
    runs: z.optional(z.array(runShape)),
  }),
  z.looseObject({ stage: z.optional(z.undefined()), token: z.string(), run: runShape }),
])
const isFirst = (kept: Life | FirstQueued): kept is FirstQueued => !('stage' in kept)

const fromFirst = ({ token, run }: FirstQueued): Life => ({
  id: run.id,
  stage: 'answered',
  token,
  sha256: run.publication,
  title: '',
  lanes: [{ lane: run.group, run: run.id }],
  startedAt: run.startedAt,
  finishedAt: run.finishedAt,
  keptAt: Date.parse(run.finishedAt),
  runs: [run],
})

/** Runs in the device's own database. Its calls reject as promises, even where the browser throws. */
export const lifeStore: LifeStore = {
  all: async () =>
    keptAmong<Life | FirstQueued>(shape, await store.entries()).map((kept) => (isFirst(kept) ? fromFirst(kept) : kept)),
  // Structured cloning rejects reactive proxies: what is stored is plain data throughout.
  set: async (life) => store.set(life.id, JSON.parse(JSON.stringify(life)) as Life),
  remove: async (id) => store.remove(id),
}
