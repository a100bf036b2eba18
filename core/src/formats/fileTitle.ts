/**
 * A title as the beginning of a file's name: letters and digits without marks, dashes between, at most 60.
 *
 * @example fileTitle('Captain’s orders') // 'captain-s-orders'
 */
export const fileTitle = (title: string): string =>
  title
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60) || 'session'
