/**
 * Repeatable random numbers from 0 up to 1: Tommy Ettinger's mulberry32, a 32-bit generator that is good enough to shuffle a game (public
 * domain).
 *
 * @param seed a whole number
 * @example seededRandom(1)() // 0.6270739405881613
 */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}
