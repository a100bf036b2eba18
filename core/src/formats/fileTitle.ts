import { foldText } from '../base/fold.ts'

/**
 * A title as the start of a file name: letters and digits without accents, joined by hyphens, at most 60 characters.
 *
 * @example fileTitle('Captain’s orders') // 'captain-s-orders'
 */
export const fileTitle = (title: string): string =>
  foldText(title)
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60) || 'session'
