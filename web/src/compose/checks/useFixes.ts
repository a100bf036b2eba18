import { onScopeDispose, shallowReactive, watch, type Ref } from 'vue'
import { findingKey, fixSearch, fixWords, type CheckOptions, type Finding, type MadeFix } from '@esfuerzo/core/checks'
import type { Language, Session } from '@esfuerzo/core'
import { library } from '../../repertoire/library.ts'

/** The session to search. */
export interface FixesFor {
  session: Session
  findings: readonly Finding[]
  options: CheckOptions
  language: Language
}

/** The edits for one finding, and the session they were made from: they apply to no other. */
export interface FoundFixes {
  from: Session
  made: readonly MadeFix[]
}

/**
 * The edits that resolve findings, found one after the other: each is tried on the whole session, so the page gets time between two tries.
 * Earlier ones stay until the new search is done, so that nothing flickers.
 *
 * @returns by the finding's key; a finding without an entry is still being searched
 */
export function useFixes(asked: Readonly<Ref<FixesFor>>): ReadonlyMap<string, FoundFixes> {
  const fixes = shallowReactive(new Map<string, FoundFixes>())
  let timer: ReturnType<typeof setTimeout> | undefined

  function begin({ session, findings, options, language }: FixesFor): void {
    clearTimeout(timer)
    const left = findings.map((finding) => ({
      key: findingKey(finding),
      search: fixSearch(session, finding, library, fixWords[language], options),
      made: [] as MadeFix[],
    }))
    const keys = new Set(left.map(({ key }) => key))
    for (const key of fixes.keys()) if (!keys.has(key)) fixes.delete(key)
    const step = () => {
      const [now] = left
      if (!now) return
      const { done, value } = now.search.next()
      if (value) now.made.push(value)
      if (done) {
        fixes.set(now.key, { from: session, made: now.made })
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
