import type { LaneResult } from '../player/PlayerStage.vue'
import type { LifeStore } from './runLife.ts'

const prefix = 'esfuerzo-run-'

/** What the first release kept of a run that was over and not sent. */
interface FirstRecord {
  lanes: LaneResult[]
  startedAt: string
  finishedAt: string
  target?: string
}

/** Takes over what the first release kept elsewhere on the device; what cannot be taken over stays where it is. */
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
      // Not of ours, or the device keeps nothing: it is there next time.
    }
  }
}
