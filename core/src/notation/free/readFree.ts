import { limits } from '../../base/limits.ts'
import type { Library } from '../../library/library.ts'
import type { Country } from '../../terms/country.ts'
import { Assembler, type AssembleOptions, type FreelyRead } from './assemble.ts'
import { itemsOf } from './items.ts'
import { languageIn } from './language.ts'
import { choiceKey, type Question } from './questions.ts'
import type { RowReader } from './row.ts'
import { noReadings, type Readings } from './understandName.ts'
import { englishIn } from './words.en.ts'

export interface ReadOptions extends AssembleOptions {
  /** What words stand for, as their teacher said. */
  readings?: Readings
  /** Where the school is. */
  country?: Country
}

/**
 * Reads a text as teachers write them. Every line becomes a heading, a fact, a row or a note; what is not certain is asked. Nothing is
 * refused, and nothing of it is lost: what is no move and no amount stays as words.
 *
 * @example readFree('Squats x10', library, { groups }).workout.sections[0].blocks[0].form // 'list'
 */
export function readFree(text: string, library: Library, options: ReadOptions): FreelyRead {
  const lines = text
    .slice(0, limits.bytes)
    .split(/\r\n|[\n\r\u2028\u2029]/)
    .slice(0, limits.lines)
  const { readings = noReadings, country = 'unsaid' } = options
  const reader: RowReader = { library, readings, english: englishIn(text, country) }
  const assembled = (items: ReturnType<typeof itemsOf>) => new Assembler(lines, items, reader, options).end()
  const language = options.keepGroups ? undefined : languageIn(text)
  if (!language) return assembled(itemsOf(lines, reader))
  const question = languageQuestion(lines, language)
  const told = options.choices?.get(choiceKey(question))?.as
  if (told === 'read') return assembled(itemsOf(lines, reader))
  if (told === 'words') return assembled(lines.map((text, line) => ({ line, kind: 'note', text })))
  // Until it is said which, its words are not asked about one by one.
  return { ...assembled(itemsOf(lines, reader)), questions: [question] }
}

/** A text in another language than English is asked about. */
function languageQuestion(lines: readonly string[], received: string): Question {
  const first = Math.max(
    0,
    lines.findIndex((line) => line.trim()),
  )
  const length = Math.max(1, lines[first]!.length)
  return { kind: 'language', line: first + 1, column: 1, length, received, answers: [{ as: 'words' }, { as: 'read' }] }
}
