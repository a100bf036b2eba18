import { englishOf, type Country } from '@esfuerzo/core'
import { i18n } from './i18n.ts'
import en from './locales/en.json'

// A copy: what is merged into the messages would change them here too.
const usual = { ...en.word }

/** Countries whose schools count in years, not in grades. Common practice, no source. */
const years: readonly Country[] = ['AU', 'GB', 'NZ']

/**
 * Words that differ by country: *trash* or *bin*, *grade* or *year*.
 *
 * @example countryWords('GB') // { trash: 'bin', grade: 'year', grades: 'years' }
 * @example countryWords('US') // { trash: 'trash', grade: 'grade', grades: 'grades' }
 */
export const countryWords = (country: Country): typeof usual => ({
  ...usual,
  ...(englishOf(country) === 'british' && { trash: 'bin' }),
  ...(years.includes(country) && { grade: 'year', grades: 'years' }),
})

/** Shows the words of a school's country on every page. */
export const useCountryWords = (country: Country): void =>
  i18n.global.mergeLocaleMessage('en', { word: countryWords(country) })
