/** One less of something that a block has at least one of. @example oneLess(1) // 1 */
export const oneLess = (n: number): number => Math.max(1, n - 1)

const minute = 60

/** A minute less of something that lasts for its time, but at least one. */
export const minuteLess = (seconds: number): number => Math.max(Math.min(seconds, minute), seconds - minute)
