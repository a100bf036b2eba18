import { computed, type ComputedRef } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import {
  languageOf,
  moveNames,
  partTitle,
  phrasesIn,
  sayText,
  type Language,
  type Names,
  type Say,
} from '@esfuerzo/core'
import { type Publication } from '@esfuerzo/core/publication'

/** A session's words in the language of the page. */
export interface PlayerWords {
  language: ComputedRef<Language>
  /** A text of the library in that language. */
  phrase: (text: string) => string
  names: Names
  say: (say: unknown) => string
  /** A section's title; one that is only its part's name is shown in the page's language. */
  section: (section: Publication['sections'][number]) => string
}

export function useWords(publication: Publication): PlayerWords {
  const { locale } = useSentences()
  const language = computed(() => languageOf([locale.value]))
  const moves = new Map(publication.moves.map((m) => [m.id, m]))
  const phrase = (text: string) => phrasesIn(publication.phrases, language.value)(text)
  const names: Names = (move, version) => moveNames(moves, phrase)(move, version)
  return {
    language,
    phrase,
    names,
    say: (say) => sayText(say as Say, names, language.value),
    section: (section) => phrase(partTitle(section, language.value)),
  }
}
