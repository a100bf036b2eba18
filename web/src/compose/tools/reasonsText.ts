import type { Reason } from '@esfuerzo/core/suggest'
import type { Words } from '../../shared/words.ts'

/**
 * Why an exercise is suggested, in one line.
 *
 * @example reasonsText([{ code: 'firstPull' }, { code: 'known' }], t) // 'nothing pulls yet · the class knows it'
 */
export const reasonsText = (reasons: readonly Reason[], t: Words): string =>
  reasons.map(({ code, ...facts }) => t(`suggest.reason.${code}`, facts)).join(' · ')
