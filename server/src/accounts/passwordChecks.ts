import pLimit from 'p-limit'
import { ServerError } from '../http/serverError.ts'

/** How many passwords are checked at a time, and how many wait, in all and from one network (ours): a check takes 20 MiB and 30 ms of a core. */
const bounds = { atOnce: 4, waiting: 200, ofNetwork: 60 } as const

/** Password checks, a few at a time: thousands of requests take neither memory nor processor from everybody else. */
export interface PasswordChecks {
  /** @throws {ServerError} `busy` if too many are waiting */
  run: <T>(network: string, check: () => Promise<T>) => Promise<T>
}

export function passwordChecks(): PasswordChecks {
  const limit = pLimit(bounds.atOnce)
  const underWay = new Map<string, number>()
  return {
    async run(network, check) {
      const own = underWay.get(network) ?? 0
      if (limit.pendingCount >= bounds.waiting || own >= bounds.ofNetwork) throw new ServerError('busy')
      underWay.set(network, own + 1)
      try {
        return await limit(check)
      } finally {
        const left = underWay.get(network)! - 1
        if (left) underWay.set(network, left)
        else underWay.delete(network)
      }
    },
  }
}
