import { measureOf } from '../../publication/measureOf.ts'
import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'
import { setUpOf } from '../../terms/testValue.ts'

const ends = { en: 'Stop when:', es: 'Se acaba:' }

/** What is measured, its set-up and steps, and how often. */
export const measureSheet: FormSheet<PlayOf<'measure'>> = {
  lines: (play, steps, said, { publication, phrase, language }) => {
    const measure = measureOf(publication, play)
    if (!measure) return steps.map(said)
    const { how } = setUpOf(measure, play.setUp)
    const told = [how, ...measure.steps, ...(measure.practice ? [measure.practice] : [])].map(phrase)
    return [...steps.map(said), ...told, `${ends[language]} ${phrase(measure.ends)}`, ...measure.cautions.map(phrase)]
  },
  trials: ({ trials }) => trials,
}
