/** When something is sent: automatically, one at a time, and again while the server is unreachable. */
export interface Sender {
  /** Sends after a pause, or after a number of milliseconds. */
  soon: (ms?: number) => void
  /** Sends at once; if it is sending already, waits for that. @returns whether everything was sent */
  now: () => Promise<boolean>
  /** The server is away: tries again, later each time, after ten seconds at most. */
  again: () => void
  /** Something arrived: the next new try comes soon again. */
  arrived: () => void
  /** Cancels the automatic sending. */
  cancel: () => void
  /** Stops sending automatically. */
  stop: () => void
}

/**
 * @param send sends what is left; returns true when everything is sent. It calls `again` itself, because it knows which failures to retry
 * @param quiet milliseconds before something is sent
 * @param retry milliseconds before the first retry
 */
export function senderOf(send: () => Promise<boolean>, quiet: number, retry = 1000): Sender {
  let timer: ReturnType<typeof setTimeout> | undefined
  let running: Promise<boolean> | undefined
  let tries = 0
  let stopped = false

  function now(): Promise<boolean> {
    clearTimeout(timer)
    running ??= send().finally(() => (running = undefined))
    return running
  }
  function soon(ms = quiet): void {
    clearTimeout(timer)
    if (!stopped) timer = setTimeout(() => void now(), ms)
  }
  return {
    soon,
    now,
    again: () => soon(Math.min(10_000, retry * 2 ** tries++)),
    arrived: () => void (tries = 0),
    cancel: () => clearTimeout(timer),
    stop() {
      stopped = true
      clearTimeout(timer)
    },
  }
}
