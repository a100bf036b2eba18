/**
 * Countries a school may be in, by ISO 3166-1; `unsaid` until it is set, `other` for any not listed. The country decides what a name means
 * that stands for one exercise here and another there.
 */
export const countries = ['unsaid', 'AU', 'CA', 'GB', 'IE', 'IN', 'NZ', 'US', 'ZA', 'other'] as const
export type Country = (typeof countries)[number]

/** The vocabulary a teacher writes in. */
export type English = 'british' | 'american'

const american: readonly Country[] = ['CA', 'US']

/**
 * Which English a country writes: Britain's and that of its former dominions, or North America's (common practice, no source).
 *
 * @returns undefined if it cannot be known
 * @example englishOf('NZ') // 'british'
 */
export const englishOf = (country: Country): English | undefined =>
  american.includes(country) ? 'american' : country === 'unsaid' || country === 'other' ? undefined : 'british'
