import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { defaultGradeNames, settingsChange, type Settings } from '@esfuerzo/core'
import { CallError } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { useCountryWords } from '../words/countryWords.ts'

/** The school's settings, loaded once and kept until they are changed here. */
export const useSettings = defineStore('settings', () => {
  const settings = shallowRef<Settings>()
  const error = shallowRef<CallError['code']>()
  const gradeNames = computed(() => settings.value?.gradeNames ?? defaultGradeNames)
  watch(
    () => settings.value?.country,
    (country) => useCountryWords(country ?? 'unsaid'),
  )

  /** If they cannot be loaded, the defaults apply. */
  async function load(): Promise<void> {
    if (settings.value) return
    error.value = undefined
    try {
      settings.value = await client('readSettings', {})
    } catch (thrown) {
      error.value = thrown instanceof CallError ? thrown.code : 'unexpected'
    }
  }

  /**
   * Saves the differences from this page's settings: changes by other pages since stay.
   *
   * @throws {CallError} naming each invalid field; then nothing changes
   */
  async function save(next: Settings): Promise<void> {
    const before = settings.value
    if (before) settings.value = await client('saveSettings', { body: settingsChange(before, next) })
  }

  /** Somebody else signs in. */
  function forget(): void {
    settings.value = undefined
  }

  return { settings, error, gradeNames, load, save, forget }
})
