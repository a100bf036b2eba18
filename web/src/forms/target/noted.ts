import type { CountWords } from '../noted.ts'

export const targetNoted = (n: number, t: CountWords): string => t('after.points', { n }, n)
