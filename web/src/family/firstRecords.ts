import type { LaneResult } from '../player/PlayerStage.vue'
import type { LifeStore } from './runLife.ts'

const prefix = 'esfuerzo-run-'

/** What the first release kept of a finished run that was not sent. */
interface FirstRecord {
  lanes: LaneResult[]
  startedAt: string
  finishedAt: string
  target?: string
}

/** Adopts what the first release kept elsewhere on the device; the rest stays where it is. */
export async function adoptFirstRecords(store: LifeStore, newId: () => string, from: Storage): Promise<void> {
  for (const key of Object.keys(from).filter((k) => k.startsWith(prefix))) {
    try {
      const { lanes, startedAt, finishedAt, target } = JSON.parse(from.getItem(key)!) as FirstRecord
      await store.set({
        id: newId(),
        stage: 'finished',
        token: key.slice(prefix.length),
        sha256: '',
        title: '',
        lanes: lanes.map(({ lane }) => ({ lane, run: newId() })),
        startedAt,
        finishedAt,
        ...(target && { target }),
        keptAt: Date.parse(finishedAt),
        results: lanes,
      })
      from.removeItem(key)
    } catch {
      // Not ours, or the device has no storage: it is tried again next time.
    }
  }
}
