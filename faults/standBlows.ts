import type { Stand } from '../scripts/stand.mjs'
import type { Blow } from './trial.ts'

type Name = 'server' | 'update' | 'etcd' | 'standby' | 'switchOver' | 'primary'

/** Faults of a cluster; after each, the cluster is whole again before the next. */
export function standBlows(stand: Stand): Record<Name, Blow> {
  let turn = 0
  const timed = async (work: () => Promise<void>): Promise<number> => {
    const began = Date.now()
    await work()
    return Date.now() - began
  }
  /** A machine loses power: killed, missing, started again. */
  async function lose(name: string): Promise<void> {
    await stand.kill(name)
    await stand.withoutIt(name)
    stand.revive(name)
    await stand.settled()
  }
  return {
    server: { name: 'one of two servers killed', strike: () => timed(() => stand.restartPages(turn++ % 2, 'SIGKILL')) },
    update: {
      name: 'both servers renewed, one after the other',
      strike: () =>
        timed(async () => {
          for (const i of [0, 1]) await stand.restartPages(i, 'SIGTERM')
        }),
    },
    etcd: { name: 'one etcd of three lost', strike: () => timed(() => lose('etcd1')) },
    standby: {
      name: 'the standby in step lost',
      strike: () => timed(async () => lose((await stand.standby())!)),
    },
    switchOver: {
      name: 'a planned switch to the standby',
      strike: () =>
        timed(async () => {
          await stand.switchOver()
          await stand.settled()
        }),
    },
    primary: { name: 'the primary’s machine lost', strike: () => timed(async () => lose((await stand.primary())!)) },
  }
}
