/** A class or a pupil that was taken away can be taken back for so many days. */
export const pupilBinDays = 7

const day = 24 * 60 * 60 * 1000
/** When what was taken away is gone for good. */
export const goneAt = (removed: Date): string => new Date(removed.getTime() + pupilBinDays * day).toISOString()
