import { onScopeDispose, shallowReactive, watch, type Ref } from 'vue'
import { findingKey, fixSearch, fixWords, type CheckOptions, type Finding, type MadeFix } from '@esfuerzo/core/checks'
import type { Language, Workout } from '@esfuerzo/core'
import { library } from '../../repertoire/library.ts'

/** What is searched in. */
export interface FixesFor {
  workout: Workout
  findings: readonly Finding[]
  options: CheckOptions
  language: Language
}

/**
 * The edits that take findings away, found one after the other: every one is tried on the whole session, so the page breathes
 * between two tries.
 *
 * @returns by the finding's key; a finding without an entry is still searched for
 */
export function useFixes(asked: Readonly<Ref<FixesFor>>): ReadonlyMap<string, readonly MadeFix[]> {
  const fixes = shallowReactive(new Map<string, readonly MadeFix[]>())
  let timer: ReturnType<typeof setTimeout> | undefined

  function begin({ workout, findings, options, language }: FixesFor): void {
    clearTimeout(timer)
    fixes.clear()
    const left = findings.map((finding) => ({
      key: findingKey(finding),
      search: fixSearch(workout, finding, library, fixWords[language], options),
      made: [] as MadeFix[],
    }))
    const step = () => {
      const [now] = left
      if (!now) return
      const { done, value } = now.search.next()
      if (value) now.made.push(value)
      if (done) {
        fixes.set(now.key, now.made)
        left.shift()
      }
      timer = setTimeout(step)
    }
    timer = setTimeout(step)
  }
  watch(asked, begin, { immediate: true })
  onScopeDispose(() => clearTimeout(timer))
  return fixes
}
