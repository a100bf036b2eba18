import createSubscriber from 'pg-listen'
import type { Logger } from 'pino'

/** Permanent deletions by any server of the installation. */
export type GoneThing = { snapshot: string } | { teacher: string }

/** Notices of deletions, so that this server's memory keeps nothing deleted. */
export interface Gone {
  /** Whether notices arrive at the moment. If not, nothing may be answered from memory. */
  readonly heard: boolean
  /** @param forget called for each deleted thing; with undefined if some may have been missed: then everything must be forgotten */
  onGone: (forget: (thing: GoneThing | undefined) => void) => void
  close: () => Promise<void>
}

const channel = 'gone'

/** Listens on the database, whose triggers report every committed deletion. */
export async function listenForGone(databaseUrl: string, log: Logger): Promise<Gone> {
  const subscriber = createSubscriber<{ gone: GoneThing }>(
    { connectionString: databaseUrl, connectionTimeoutMillis: 3000 },
    { retryTimeout: 0, retryInterval: 500, paranoidChecking: 5000 },
  )
  const listeners: ((thing: GoneThing | undefined) => void)[] = []
  const tell = (thing: GoneThing | undefined) => listeners.forEach((forget) => forget(thing))
  let heard = false
  const lost = () => {
    heard = false
    tell(undefined)
  }
  subscriber.notifications.on(channel, tell)
  subscriber.events.on('reconnect', lost)
  subscriber.events.on('error', (err) => {
    log.warn({ err }, 'deletions are not heard of: nothing is answered from memory')
    lost()
  })
  subscriber.events.on('connected', () => {
    tell(undefined)
    heard = true
  })
  await subscriber.connect()
  await subscriber.listenTo(channel)
  heard = true
  return {
    get heard() {
      return heard
    },
    onGone: (forget) => void listeners.push(forget),
    close: () => subscriber.close(),
  }
}
