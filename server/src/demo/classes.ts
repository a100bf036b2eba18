import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { byAlias, proposedAliases } from '@esfuerzo/core/classBook'

/** A child of the demo as the generator has it: only the alias is stored. */
export interface DemoPupil {
  alias: string
  grades: readonly number[]
  /** Its share of the usual amount at the start; more every week. */
  share: number
  growth: number
  /** How often a class does a session, in percent. */
  diligence: number
  /** Its own pace beside the usual one. */
  pace: number
}

export interface DemoClass {
  name: string
  grades: number[]
  pupils: DemoPupil[]
}

const classes = [
  { name: 'Class 1 · Terns', grades: [0, 1], count: 18, pace: 100 },
  { name: 'Class 3 · Gannets', grades: [2, 3], count: 22, pace: 97 },
  { name: 'Class 5 · Petrels', grades: [4, 5, 6], count: 24, pace: 118 },
]

/** The school's three classes, always the same with the same seed. */
export function demoClasses(seed: number): DemoClass[] {
  const random = xoroshiro128plus(seed)
  const next = (from: number, to: number) => uniformInt(random, from, to)
  const taken: string[] = []
  return classes.map(({ name, grades, count, pace }) => ({
    name,
    grades,
    pupils: newAliases(count, taken, () => next(0, 9999) / 10_000)
      .sort(byAlias)
      .map((alias) => ({
        alias,
        grades,
        share: next(70, 125) / 100,
        growth: next(-1, 5) / 100,
        diligence: next(25, 90),
        pace: (pace + next(-12, 14)) / 100,
      })),
  }))
}

/** Aliases that no other demo class has. */
function newAliases(count: number, taken: string[], random: () => number): string[] {
  const aliases = proposedAliases(count, taken, random)
  taken.push(...aliases)
  return aliases
}
