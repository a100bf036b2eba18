import { rule } from '../base/problem.ts'
import { lineSchema } from '../base/text.ts'

/** Limit of pupils in a class (ours: the largest we have met has 34). */
export const pupilRoom = 40

/** A pupil's name in the class book; the real name stays on the teacher's paper. */
export const aliasSchema = lineSchema.max(24).refine((alias) => aliasKey(alias) !== '', {
  params: { code: 'too-small' },
  error: rule('someSign'),
})

/** Things of the shore that an alias is made of. None can be used as a nickname: no snail, whale, shrimp or crab. Ours. */
export const aliasKinds = [
  'Anchor',
  'Beacon',
  'Coral',
  'Driftwood',
  'Dulse',
  'Fulmar',
  'Gannet',
  'Harbour',
  'Island',
  'Kelp',
  'Lantern',
  'Limpet',
  'Mast',
  'Pebble',
  'Petrel',
  'Plover',
  'Rudder',
  'Samphire',
  'Seaglass',
  'Shearwater',
  'Skua',
  'Tern',
  'Tide',
  'Wave',
] as const

/** The numbers of aliases go from 1 to this. */
const highest = 99

/**
 * Unused aliases: a kind of thing and a number, both random, so that no register order shows through. Each kind is used once before any is
 * repeated.
 *
 * @param taken aliases of the class
 * @param random numbers from 0 up to 1
 * @example proposedAliases(1, [], () => 0) // ['Anchor 1']
 */
export function proposedAliases(count: number, taken: readonly string[], random: () => number): string[] {
  const used = new Set(taken.map(aliasKey))
  const proposed: string[] = []
  let kinds: string[] = []
  while (proposed.length < count) {
    if (kinds.length === 0) kinds = [...aliasKinds]
    const kind = kinds.splice(Math.floor(random() * kinds.length), 1)[0]!
    const start = Math.floor(random() * highest)
    const free = Array.from({ length: highest }, (_, i) => `${kind} ${((start + i) % highest) + 1}`).find(
      (alias) => !used.has(aliasKey(alias)),
    )
    if (!free) continue
    used.add(aliasKey(free))
    proposed.push(free)
  }
  return proposed
}

/**
 * The form in which aliases are compared: without case, accent encoding, blanks or invisible characters.
 *
 * @example aliasKey(' TERN  4') // 'tern 4'
 */
export const aliasKey = (alias: string): string =>
  alias
    .normalize('NFKC')
    .replace(/\p{Default_Ignorable_Code_Point}/gu, '')
    .trim()
    .replace(/\s+/g, ' ')
    .toLowerCase()

/** A word that starts with a capital and continues in small letters, with hyphens and apostrophes inside. */
const nameWord = /^(?=..)\p{Lu}[\p{Ll}\p{M}]*(?:['’-]\p{Lu}?[\p{Ll}\p{M}]+)*$/u
const initial = /^\p{Lu}\.?$/u

/**
 * Whether an alias looks like a full name: two or more capitalized words and no number. Only a warning, because it cannot know.
 *
 * @example looksLikeName('Ana Lucía Prado') // true
 * @example looksLikeName('Tern 4') // false
 */
export function looksLikeName(alias: string): boolean {
  const words = alias.replaceAll(',', ' ').trim().split(/\s+/)
  if (words.length < 2 || /\d/.test(alias)) return false
  const small = /^(?:da|das|de|del|den|der|di|do|dos|du|la|las|le|los|van|von|y|e)$/
  return (
    words.filter((word) => nameWord.test(word)).length >= 1 &&
    words.every((word) => nameWord.test(word) || initial.test(word) || small.test(word))
  )
}

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' })

/** The only order in which pupils are listed: by alias, with numbers by value. @example byAlias('Tern 4', 'Tern 11') < 0 // true */
export const byAlias = (a: string, b: string): number => collator.compare(a, b) || (a < b ? -1 : a > b ? 1 : 0)
