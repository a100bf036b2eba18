/** Days during which a deleted class or pupil can be restored. */
export const pupilBinDays = 7

const day = 24 * 60 * 60 * 1000
/** When a deleted class or pupil is gone permanently. */
export const goneAt = (removed: Date): string => new Date(removed.getTime() + pupilBinDays * day).toISOString()
