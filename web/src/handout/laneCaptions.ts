import {
  moveNames,
  phrasesIn,
  sayText,
  timeline,
  type Language,
  type Library,
  type Phrases,
  type Session,
} from '@esfuerzo/core'
import { captions, type Caption } from '@esfuerzo/core/cues'

/** The halfway call, by language; it is shown for two seconds. */
const half: Record<Language, string> = { en: 'half-way', es: 'mitad' }

/** A lane's session as captions for a film. @param words the library's texts in other languages */
export function laneCaptions(
  session: Session,
  group: string,
  library: Library,
  language: Language,
  words: Phrases,
): Caption[] {
  const names = moveNames(library.moves, phrasesIn(words, language))
  const call = { half: half[language], halfSeconds: 2 }
  return captions(timeline(session, group, library), (step) => sayText(step.say, names, language), call)
}
