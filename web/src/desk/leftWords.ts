import type { Words } from '../shared/words.ts'
import type { PlanFile } from '../reading/usePlans.ts'

/** The content of a file that is not in its text, in words. */
export const leftWords = ({ pictures, repeated, cut }: PlanFile['left'], t: Words): string[] =>
  [
    pictures.length ? t('plans.pictures', { n: pictures.length, names: pictures.slice(0, 3).join(', ') }) : '',
    repeated.length ? t('plans.repeated', { text: repeated[0] }) : '',
    cut ? t('plans.cut') : '',
  ].filter(Boolean)
