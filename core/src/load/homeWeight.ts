import { bookKg, type Book } from './paper.ts'

/** A household thing used as a weight. */
export type HomeThing =
  | { kind: 'bottle'; litres: number }
  | ({ kind: 'book' } & Book)
  /** A package with a label, or anything weighed on the kitchen scale. */
  | { kind: 'weighed'; kg: number }

/** The weight of an empty plastic bottle of half a liter to two, in kilograms per liter it holds (ours). */
const bottleKgPerLitre = 0.03

/**
 * The total weight of household things, in kilograms, to ten grams. Water weighs 1 kg per liter.
 *
 * @example homeKg([{ kind: 'bottle', litres: 0.5 }]) // 0.52
 */
export function homeKg(things: readonly HomeThing[]): number {
  const kg = things.reduce((sum, thing) => {
    if (thing.kind === 'bottle') return sum + thing.litres * (1 + bottleKgPerLitre)
    return sum + (thing.kind === 'book' ? bookKg(thing) : thing.kg)
  }, 0)
  return Math.round(kg * 100) / 100
}

/** How a weight is held: one in each hand, or one bag in both. */
export type Held = 'hand' | 'bag'

/**
 * The starting limit of a grade, in kilograms. A hand: 0.5 kg in grades 2 and 3, 1 kg in 4 and 5, 2 kg in 6; a bag: a tenth of children's
 * usual weight at the age, from memory. Grades 0 and 1 use no weights (strength training with loads from about seven: Faigenbaum et al.
 * 2009, J Strength Cond Res 23:S60). Common practice otherwise, no source.
 *
 * @param grade 0 to 6
 */
export function mostKg(grade: number, held: Held): number {
  return held === 'hand' ? handKg[grade]! : bagKg[grade]!
}
const handKg: Readonly<Record<number, number>> = { 0: 0, 1: 0, 2: 0.5, 3: 0.5, 4: 1, 5: 1, 6: 2 }
const bagKg: Readonly<Record<number, number>> = { 0: 0, 1: 0, 2: 2.4, 3: 2.7, 4: 3, 5: 3.3, 6: 3.7 }

/** The grades that may start with a weight; none if it is too heavy for all. */
export const gradesFor = (kg: number, held: Held): number[] =>
  [0, 1, 2, 3, 4, 5, 6].filter((grade) => kg > 0 && kg <= mostKg(grade, held))

/** The next step up: one more of the lightest thing available. */
export interface NextStep {
  /** The thing to add one of. */
  add: HomeThing
  kg: number
  /** How much heavier that is, as a share of the current weight: 0.05–0.1 is a good step if available (common practice). */
  more: number
}

/**
 * The smallest step up that a household's things allow.
 *
 * @param things what is held now
 * @param spare what could be added, one at a time
 * @returns undefined if there is nothing to add
 */
export function nextStep(things: readonly HomeThing[], spare: readonly HomeThing[]): NextStep | undefined {
  const now = homeKg(things)
  const steps = spare
    .map((add) => ({ add, kg: homeKg([...things, add]) }))
    .filter((step) => step.kg > now)
    .sort((a, b) => a.kg - b.kg)
  const [step] = steps
  return step && { ...step, more: now > 0 ? Math.round(((step.kg - now) / now) * 100) / 100 : 1 }
}
