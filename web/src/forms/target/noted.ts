import type { CountWords } from '../../shared/countWords.ts'

export const targetNoted = (n: number, t: CountWords): string => t('after.points', { n }, n)
