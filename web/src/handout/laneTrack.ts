import {
  captions,
  moveNames,
  phrasesIn,
  sayText,
  timeline,
  type Caption,
  type Language,
  type Library,
  type Phrases,
  type Step,
  type Workout,
} from '@esfuerzo/core'

/** What is called half-way, by language; it stands for two seconds. */
const half: Record<Language, string> = { en: 'half-way', es: 'mitad' }

/** A lane's session as captions for a film. @param words the library's texts in other languages */
export function laneTrack(
  workout: Workout,
  group: string,
  library: Library,
  language: Language,
  words: Phrases,
): { steps: Step[]; track: Caption[] } {
  const steps = timeline(workout, group, library)
  const names = moveNames(library.moves, phrasesIn(words, language))
  const track = captions(steps, (step) => sayText(step.say, names, language), {
    half: half[language],
    halfSeconds: 2,
  })
  return { steps, track }
}
