/**
 * Factors around 1 that model how children differ: the logarithm is normal, half of them are above 1. Box & Muller 1958, Ann Math Stat
 * 29:610.
 *
 * @param random from 0 up to 1
 * @param sigma standard deviation of the logarithm; 0 always gives 1
 */
export function lognormalFactors(random: () => number): (sigma: number) => number {
  let spare: number | undefined
  return (sigma) => {
    if (sigma === 0) return 1
    if (spare !== undefined) {
      const z = spare
      spare = undefined
      return Math.exp(sigma * z)
    }
    const radius = Math.sqrt(-2 * Math.log(1 - random()))
    const angle = 2 * Math.PI * random()
    spare = radius * Math.sin(angle)
    return Math.exp(sigma * radius * Math.cos(angle))
  }
}
