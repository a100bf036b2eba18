/** What the player hands on to the page after it; kept through a reload of that page. */
export interface RunRecord {
  lane: string
  startedAt: string
  finishedAt: string
  done: number
  skipped: number
}

const key = (token: string) => `esfuerzo-run-${token}`

export const keepRecord = (token: string, record: RunRecord): void =>
  sessionStorage.setItem(key(token), JSON.stringify(record))

export const dropRecord = (token: string): void => sessionStorage.removeItem(key(token))

/** The record of a link's run, where one has been finished on this page. */
export function readRecord(token: string): RunRecord | undefined {
  const text = sessionStorage.getItem(key(token))
  return text ? (JSON.parse(text) as RunRecord) : undefined
}
