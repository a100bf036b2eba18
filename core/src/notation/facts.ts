import type { Block } from '../session/forms.ts'
import { limits } from '../base/limits.ts'
import type { PerGroup } from '../terms/perGroup.ts'

/** How a fact is set by hand: a number, a switch, a choice. Others have their form's own editor. */
export type FactField =
  | { kind: 'seconds' | 'count'; min: number; max?: number; step?: number }
  | { kind: 'flag' }
  | { kind: 'choice'; choices: readonly string[] }

/**
 * One thing a form's line says, with its words: laps, a rest, a cap. A form's line is a list of facts; each may be followed by values for
 * single groups in brackets.
 */
export interface Fact<B extends Block, V = unknown> {
  /** The fact's name within its form: a page has a word for it. */
  id: string
  field?: FactField
  /** Whether it can be removed, and its value when first set. */
  optional?: V
  /** A block's value; undefined if it has none. */
  get: (block: B) => PerGroup<V> | undefined
  /** Sets a value; undefined removes it if that is allowed. */
  set: (block: B, value: PerGroup<V> | undefined) => B
  /**
   * Reads the words of the fact.
   *
   * @param text already in plain marks, trimmed
   * @param base the shared value, for brackets that give only the difference
   * @returns undefined if the text says something else
   */
  read: (text: string, base: V | undefined) => V | undefined
  /** The words. @param base the shared value, if a group's own is printed in brackets */
  print: (value: V, base?: V) => string
  /** Whether a value need not be printed: it is the default. */
  silent?: (value: V) => boolean
}

/** Declares a fact, keeping the type of its value. */
export const fact = <B extends Block, V>(made: Fact<B, V>): Fact<B> => made as unknown as Fact<B>

/** A whole number of seconds as people write it: `60`, `60 s`, `1:30`, `2 min`. */
export const secondsPattern = '(\\d{1,2}:[0-5]\\d|\\d{1,4}(?:\\.5)?)\\s*(s|secs?|seconds?|mins?|minutes?)?'

/**
 * The seconds in a match of {@link secondsPattern}.
 *
 * @param fallback the meaning of a number without a unit
 */
export function secondsOf(written: string, unit: string | undefined, fallback: 's' | 'min' = 's'): number {
  if (written.includes(':')) {
    const [minutes, seconds] = written.split(':').map(Number)
    return minutes! * 60 + seconds!
  }
  const minutes = unit ? unit.toLowerCase().startsWith('m') : fallback === 'min'
  return Math.round(Number(written) * (minutes ? 60 : 1))
}

/** Seconds as printed: `45 s`, whole minutes from two on as `2 min`. */
export const printSeconds = (seconds: number): string =>
  seconds >= 120 && seconds % 60 === 0 ? `${seconds / 60} min` : `${seconds} s`

const bare = new RegExp(`^${secondsPattern}$`, 'i')

/**
 * A number of seconds with a word before it: `rest 60 s`, `cap 10 min`.
 *
 * @param words a pattern of the words that may come before it; the first is printed
 * @param min the fewest seconds
 */
export function secondsFact<B extends Block>(
  key: keyof B & string,
  asked: {
    print: string
    words: string
    min?: number
    max?: number
    fallback?: 's' | 'min'
    optional?: number
    silent?: (seconds: number) => boolean
  },
): Fact<B> {
  const { min = 0, max = limits.seconds, fallback = 's' } = asked
  const before = new RegExp(`^(?:${asked.words})\\s*:?\\s*${secondsPattern}$`, 'i')
  const after = new RegExp(`^${secondsPattern}\\s*(?:of\\s*)?(?:${asked.words})$`, 'i')
  const inBounds = (n: number) => (n >= min && n <= max ? n : undefined)
  return fact<B, number>({
    id: key,
    field: { kind: 'seconds', min, max, step: 5 },
    ...(asked.optional !== undefined && { optional: asked.optional }),
    ...(asked.silent && { silent: asked.silent }),
    get: (b) => b[key] as PerGroup<number> | undefined,
    set: (b, value) => withField(b, key, value),
    read: (text, base) => {
      const match = before.exec(text) ?? after.exec(text) ?? (base === undefined ? null : bare.exec(text))
      return match ? inBounds(secondsOf(match[1]!, match[2], fallback)) : undefined
    },
    print: (n, base) => (base === undefined ? `${asked.print} ${printSeconds(n)}` : printSeconds(n)),
  })
}

/**
 * A whole number with a word: `3 rounds`, `4 sets`.
 *
 * @param word its singular; an `s` makes the plural
 */
export function countFact<B extends Block>(
  key: keyof B & string,
  asked: { word: string; words: string; min?: number; max?: number },
): Fact<B> {
  const { min = 1, max = limits.laps } = asked
  const pattern = new RegExp(
    `^(\\d{1,3})\\s*(?:x\\s*)?(?:${asked.words})$|^(?:${asked.words})\\s*:?\\s*(\\d{1,3})$`,
    'i',
  )
  return fact<B, number>({
    id: key,
    field: { kind: 'count', min, max },
    get: (b) => b[key] as PerGroup<number> | undefined,
    set: (b, value) => (value ? withField(b, key, value) : b),
    read: (text, base) => {
      const match = pattern.exec(text) ?? (base === undefined ? null : /^(\d{1,3})x?$/.exec(text))
      const n = match && Number(match[1] ?? match[2])
      return n !== null && n >= min && n <= max ? n : undefined
    },
    print: (n, base) => (base === undefined ? `${n} ${asked.word}${n === 1 ? '' : 's'}` : String(n)),
  })
}

/** A block with a field set or removed. */
export function withField<B extends object>(block: B, key: keyof B & string, value: unknown): B {
  const { [key]: _, ...rest } = block
  return (value === undefined ? rest : { ...rest, [key]: value }) as B
}

/** A value without groups' own parts, for facts. */
export const forAll = <V>(value: V | undefined): PerGroup<V> | undefined =>
  value === undefined ? undefined : { all: value }
