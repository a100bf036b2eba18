import type { Section, Session } from '../session/schema.ts'
import { stationsOf, type Block } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import type { Where } from './where.ts'

/** The teacher's own words that families read, and their place. */
export interface Said {
  text: string
  where: Where
  /** The field of the part at `where`; for a list, its name and the index. */
  field: string
  at?: number
}

const texts = (where: Where, fields: Readonly<Record<string, string | readonly string[] | undefined>>): Said[] =>
  Object.entries(fields).flatMap(([field, value]): Said[] => {
    if (!value) return []
    if (typeof value === 'string') return [{ text: value, where, field }]
    return value.map((text, at) => ({ text, where, field, at }))
  })

function saidInBlock(section: Section, block: Block): Said[] {
  const where = { section: section.id, block: block.id }
  return [
    ...texts(where, { title: block.title, note: block.note }),
    ...texts(where, traitsOf(block).said?.(block) ?? {}),
    ...stationsOf(block).flatMap(({ id, storyName, focus, note, easier, harder }) =>
      texts({ ...where, station: id }, { storyName, focus, note, easier, harder }),
    ),
  ]
}

/** All of the teacher's own words: titles, target, notes, rules of games, easier and harder ways. */
export const saidIn = (session: Session): Said[] => [
  ...texts({}, { title: session.title, target: session.aim.target }),
  ...texts({}, { ownMoves: (session.moves ?? []).map(({ move }) => move.name) }),
  ...session.sections.flatMap((section) => [
    ...texts({ section: section.id }, { title: section.title, note: section.note }),
    ...section.blocks.flatMap((block) => saidInBlock(section, block)),
  ]),
]

const denied = /\b(?:no|not|never|don[’']?t|do not|without|avoid|instead of|nobody|sin|nunca|jam[aá]s|nadie|evita)\b/i

const deniedWithin = /\b(?:without|never|instead of|sin|nunca)\b/i

/** The sentences of a text, each with its end mark: `Run. Stop!` gives `Run. ` and `Stop!`. */
const sentences = (text: string): string[] => text.match(/[^.!?;\n]+[.!?;\n]*\s*/g) ?? []

/**
 * The words that match in a text, unless their sentence forbids it: "never head the ball" asks nobody to.
 *
 * @example saidSo('Head the ball.', /head the ball/i) // 'Head the ball'
 * @example saidSo('Never head the ball.', /head the ball/i) // undefined
 */
export function saidSo(text: string, pattern: RegExp): string | undefined {
  for (const sentence of sentences(text)) {
    const match = pattern.exec(sentence)
    if (match && !denied.test(sentence.slice(0, match.index)) && !deniedWithin.test(match[0])) return match[0]
  }
  return undefined
}

/** The text without the sentences that match. @example withoutSaid('Run. Head the ball.', /head the ball/i) // 'Run.' */
export const withoutSaid = (text: string, pattern: RegExp): string =>
  sentences(text)
    .filter((sentence) => saidSo(sentence, pattern) === undefined)
    .join('')
    .trim()
