import { defaultAges, gradesName, laneLetters, type Group } from '../terms/group.ts'
import { limits } from '../base/limits.ts'
import { plainMarks } from './plainMarks.ts'

/** Grades in whiteboard text: `K-1`, `4-6`, `K+2`. */
export function gradesText(grades: readonly number[]): string {
  const name = (g: number) => (g === 0 ? 'K' : String(g))
  const sorted = [...new Set(grades)].sort((a, b) => a - b)
  const run = sorted.every((g, i) => i === 0 || g === sorted[i - 1]! + 1)
  if (sorted.length === 1) return name(sorted[0]!)
  return run ? `${name(sorted[0]!)}-${name(sorted.at(-1)!)}` : sorted.map(name).join('+')
}

/**
 * Reads the grades in a text.
 *
 * @returns undefined if there are none
 * @example readGrades('K–1') // [0, 1]
 * @example readGrades('grades 4 to 6') // [4, 5, 6]
 */
export function readGrades(text: string): number[] | undefined {
  const plain = plainMarks(text)
    .toLowerCase()
    .replace(/\b(?:grades?|years?|classe?s?|kindergarten)\b/g, (word) => (word.startsWith('kinder') ? 'k' : ''))
    .replace(/\bto\b/g, '-')
    .replace(/\s/g, '')
  const grade = (word: string) => (word === 'k' || word === 'r' ? 0 : /^[0-6]$/.test(word) ? Number(word) : undefined)
  const parts = plain.split('+').map((part) => {
    const [from, to] = part.split('-').map(grade)
    if (part.split('-').length > 2 || from === undefined) return undefined
    if (!part.includes('-')) return [from]
    return to === undefined || to < from ? undefined : Array.from({ length: to - from + 1 }, (_, i) => from + i)
  })
  if (parts.length === 0 || parts.some((p) => !p)) return undefined
  return [...new Set(parts.flatMap((p) => p!))].sort((a, b) => a - b)
}

/** A name without the characters that have a meaning in a text. */
export const plainLabel = (name: string): string =>
  name
    .replace(/["“”[\];·,:()|#>]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()

/** A group in a text: its grades, and its name if that differs. */
export function stripGroup(group: Group, i: number): Group {
  const grades = [...new Set(group.grades)].sort((a, b) => a - b)
  return {
    id: `g${i + 1}`,
    letter: laneLetters[i]!,
    name: plainLabel(group.name) || gradesName(grades),
    grades,
    ages: defaultAges(grades),
  }
}

/** @param group already without what a text can't say */
export function printGroup(group: Group): string {
  const grades = gradesText(group.grades)
  return group.name === gradesName(group.grades) ? grades : `${group.name} (${grades})`
}

/** Reads what follows `groups`; undefined if one of them is no group. */
export function readGroups(text: string): Group[] | undefined {
  const words = text.split(',').map((w) => w.trim())
  if (words.length > limits.groups) return undefined
  const groups = words.map((word, i): Group | undefined => {
    const named = /^(.*\S)\s*\(([^)]*)\)$/.exec(word)
    const grades = readGrades(named ? named[2]! : word)
    if (!grades) return undefined
    const name = (named && plainLabel(named[1]!)) || gradesName(grades)
    return {
      id: `g${i + 1}`,
      letter: laneLetters[i]!,
      name: name.slice(0, limits.line),
      grades,
      ages: defaultAges(grades),
    }
  })
  return groups.every((g) => g !== undefined) ? (groups as Group[]) : undefined
}

const label = (text: string) => plainMarks(text).toLowerCase().replace(/\s+/g, ' ').trim()

/** A group's name in brackets: its grades or name if unique, otherwise its letter, `lane B` if another is named B. */
export function groupLabel(group: Group, groups: readonly Group[]): string {
  const text = group.name === gradesName(group.grades) ? gradesText(group.grades) : group.name
  const isOnly = (label: string) => String(groupsOf(label, groups)) === group.id
  return [...(/^[a-f]$/i.test(text) ? [] : [text]), group.letter].find(isOnly) ?? `lane ${group.letter}`
}

/** The ids of the groups that a bracket names; none if it names nobody. */
export function groupsOf(text: string, groups: readonly Group[]): string[] {
  const found = text.split(',').map((part) => {
    const wanted = label(part)
    const lane = /^lane ([a-f])$/.exec(wanted)?.[1]
    if (lane) return groups.filter((g) => g.letter.toLowerCase() === lane)
    const named = groups.filter((g) => label(g.name) === wanted)
    if (named.length) return named
    const lettered = groups.filter((g) => g.letter.toLowerCase() === wanted)
    if (lettered.length) return lettered
    const grades = readGrades(part)
    return grades ? groups.filter((g) => String(g.grades) === String(grades)) : []
  })
  return found.some((f) => f.length === 0) ? [] : [...new Set(found.flat().map((g) => g.id))]
}
