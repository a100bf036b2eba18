import type { CountWords } from '../../shared/countWords.ts'

export const amrapNoted = (n: number, t: CountWords): string => t('after.rounds', { n }, Math.floor(n))
