/**
 * Countries a school may say it is in, by ISO 3166-1; `unsaid` until it does, `other` for any that is not here. It tells what a name
 * means that is one move here and another there.
 */
export const countries = ['unsaid', 'AU', 'CA', 'GB', 'IE', 'IN', 'NZ', 'US', 'ZA', 'other'] as const
export type Country = (typeof countries)[number]

/** Whose words a teacher writes in. */
export type English = 'british' | 'american'

const american: readonly Country[] = ['CA', 'US']

/**
 * Whose words are written in a country: Britain's and those of its former dominions, or North America's (common practice, no
 * source).
 *
 * @returns undefined where nobody can say
 * @example englishOf('NZ') // 'british'
 */
export const englishOf = (country: Country): English | undefined =>
  american.includes(country) ? 'american' : country === 'unsaid' || country === 'other' ? undefined : 'british'
