import { afterEach, describe, expect, it } from 'vitest'
import { i18n } from '../src/words/i18n.ts'
import { countryWords, useCountryWords } from '../src/words/countryWords.ts'

const { t } = i18n.global

describe('words by country', () => {
  afterEach(() => useCountryWords('unsaid'))

  // Common practice, no source.
  it('are years and a bin in Britain, grades and a bin in South Africa, grades and the trash in the United States', () => {
    expect(countryWords('GB')).toEqual({ trash: 'bin', grade: 'year', grades: 'years' })
    expect(countryWords('ZA')).toEqual({ trash: 'bin', grade: 'grade', grades: 'grades' })
    expect(countryWords('US')).toEqual({ trash: 'trash', grade: 'grade', grades: 'grades' })
  })

  it('appear in the messages, capitalized at the beginning of a sentence', () => {
    expect([t('bin.none'), t('desk.grades', { grades: '2–3' })]).toEqual(['The trash is empty.', 'Grades 2–3'])
    useCountryWords('NZ')
    expect([t('bin.title'), t('bin.none')]).toEqual(['Bin', 'The bin is empty.'])
    expect([t('desk.grades', { grades: '2–3' }), t('grade.3')]).toEqual(['Years 2–3', 'Year 3'])
    useCountryWords('unsaid')
    expect(t('bin.title')).toBe('Trash')
  })
})
