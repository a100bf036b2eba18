/**
 * How many cases a law is tried on: the first number in `npm test`, the second in `npm run verify`, which may take longer.
 *
 * @example samples(60, 400) // 60, and 400 where VERIFY is set
 */
export const samples = <T = number>(few: T, many: T): T => (process.env.VERIFY ? many : few)
