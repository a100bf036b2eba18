import {
  buildsSchema,
  gradesName,
  indexLibrary,
  newSession,
  ProblemError,
  spaceSchema,
  type Home,
  type Problem,
} from '@esfuerzo/core'
import { draftFor, intents, type Draft, type DraftAsk, type Intent } from '@esfuerzo/core/draft'
import { print } from '@esfuerzo/core/notation'
import { libraryData } from '@esfuerzo/library'

/** The intents by their command-line names. */
export const draftOptions = {
  aim: { type: 'string' },
  minutes: { type: 'string' },
  groups: { type: 'string' },
  space: { type: 'string' },
  quiet: { type: 'boolean' },
  alone: { type: 'boolean' },
  outdoors: { type: 'boolean' },
  kit: { type: 'string' },
  seed: { type: 'string' },
  intent: { type: 'string' },
} as const

/** The request as typed on the command line. */
export interface DraftWords {
  aim?: string
  minutes?: string
  groups?: string
  space?: string
  quiet?: boolean
  alone?: boolean
  outdoors?: boolean
  kit?: string
  seed?: string
  intent?: string
}

const refused = (option: string, expected: Problem['expected'], received?: string): ProblemError =>
  new ProblemError([
    { code: 'invalid', path: [`--${option}`], ...(expected && { expected }), received: received ?? '' },
  ])

function oneOf<T extends string>(option: string, value: string | undefined, allowed: readonly T[]): T {
  const found = allowed.find((a) => a === value)
  if (!found) throw refused(option, { oneOf: [...allowed] }, value)
  return found
}

function whole(option: string, value: string | undefined, atLeast: number, atMost: number): number {
  const n = Number(value)
  if (!Number.isInteger(n) || n < atLeast) throw refused(option, { atLeast }, value)
  if (n > atMost) throw refused(option, { atMost }, value)
  return n
}

/** @example gradesOf('K-1,2-3') // [[0, 1], [2, 3]] */
function gradesOf(words: string): number[][] {
  return words.split(',').map((word) => {
    const [low = NaN, high = low] = word
      .trim()
      .split(/[-–]/)
      .map((sign) => (/^[kr]$/i.test(sign) ? 0 : /^[0-6]$/.test(sign) ? Number(sign) : NaN))
    if (Number.isNaN(low) || Number.isNaN(high) || high < low)
      throw refused('groups', { oneOf: ['K-1', '2-3', '4-6', 'K-1,2-3,4-6'] }, word)
    return Array.from({ length: high - low + 1 }, (_, i) => low + i)
  })
}

/**
 * Three drafts as whiteboard text, or the one with a given intent.
 *
 * @throws {ProblemError} `invalid` for an argument that cannot be read
 */
export function draftCommand(words: DraftWords, asked: (line: string) => void): string {
  const library = indexLibrary(libraryData)
  const minutes = whole('minutes', words.minutes ?? '20', 5, 60)
  const grades = gradesOf(words.groups ?? 'K-1,2-3,4-6')
  if (grades.length > 6) throw refused('groups', { atMost: 6 }, words.groups)
  const base = newSession('Draft', grades, minutes, library.version)
  const kit = (words.kit ?? '')
    .split(',')
    .map((k) => k.trim())
    .filter(Boolean)
  const unknown = kit.find((id) => !library.kit.has(id))
  if (unknown) throw refused('kit', { oneOf: [...library.kit.keys()] }, unknown)
  const home: Home = {
    ...base.home,
    space: oneOf('space', words.space ?? 'mat', spaceSchema.options),
    quiet: words.quiet === true,
    company: words.alone ? 'alone' : 'together',
    outdoors: words.outdoors === true,
    kit,
  }
  const ask: DraftAsk = {
    aim: oneOf('aim', words.aim ?? 'strength', buildsSchema.options),
    minutes,
    groups: base.groups.map((g, i) => ({ ...g, name: gradesName(grades[i]!) })),
    home,
    recent: [],
    known: new Set(),
    seed: whole('seed', words.seed ?? '1', 0, 2 ** 31),
  }
  const wanted: readonly Intent[] = words.intent ? [oneOf('intent', words.intent, intents)] : intents
  const drafts: Draft[] = []
  for (const intent of wanted) {
    const draft = draftFor(intent, ask, library, { besides: drafts.map((d) => d.thread.move) })
    if (draft) drafts.push(draft)
    else asked(`${intent}: nothing for ${ask.aim} can be done in this home by every group`)
  }
  for (const { intent, relaxed, findings } of drafts) {
    if (relaxed.length) asked(`${intent}: without ${relaxed.join(', ')}`)
    for (const { level, rule } of findings) asked(`${intent}: ${level} ${rule}`)
  }
  return drafts.map(({ session }) => print(session, library)).join('\n')
}
