const day = 24 * 60 * 60 * 1000
/** How far a device's clock may be behind and ahead of the server's, in milliseconds: a run of last school year may still arrive. Ours. */
const bounds = { behind: 400 * day, ahead: day }

/**
 * When a run was finished, as the server stores it: the device's time, or the time it arrived if the device's clock cannot be right. A run
 * dated 1970 would be deleted at once with that year, and one dated 2999 would be kept forever.
 *
 * @param finishedAt by the device's clock, ISO 8601
 * @param receivedAt milliseconds
 * @example runMoment('1970-01-01T00:00:00.000Z', Date.UTC(2026, 10, 28)) // new Date('2026-11-28T00:00:00.000Z')
 */
export function runMoment(finishedAt: string, receivedAt: number): Date {
  const at = Date.parse(finishedAt)
  const isPossible = at >= receivedAt - bounds.behind && at <= receivedAt + bounds.ahead
  return new Date(isPossible ? at : receivedAt)
}
