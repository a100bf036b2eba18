import { laneLetters, defaultAges, gradesName, type Group } from '../../terms/group.ts'
import { cleanText } from '../../base/text.ts'
import { limits } from '../../base/limits.ts'
import { plainLabel } from '../groupsText.ts'

/** Who a piece of text is for, as it was written. */
export interface GroupLabel {
  label: string
  grades: number[]
  at: number
  end: number
}

// Years and grades count alike (a Year 3 is a grade 3), Scotland's P1 is kindergarten, ages are grade + 5. Common practice, no source.
const first = 'nursery|kinder(?:garten)?|reception|rec|prep|foundation|eyfs|infantil'
const named = String.raw`(?:${first})(?![\p{L}])(?:\s?stage)?|ks\s?[12](?!\d)|(?:years?|yrs?|y|grades?|gr|class|primary|p|u)\.?\s?\d{1,2}(?![\p{L}\d])(?:s(?![\p{L}]))?|\d(?:st|nd|rd|th)\s(?:grade|class|year)(?:rs?|s)?(?![\p{L}])|\d\s?º(?:\s(?:grado|curso))?|[krf](?=\s?[-–/]\s?\d(?![\d/]))|k(?=\s?[:=])|\d{1,2}\s?[-–]\s?\d{1,2}\s?(?:yrs?|years?|year olds?)(?:\sold)?(?![\p{L}])`
const joint = String.raw`\s?(?:-|–|\/|&|\+|,|\bto\b|\band\b)\s?`
const pattern = new RegExp(
  `(?<![\\p{L}\\d])(?:${named})(?:${joint}(?:(?:${named})|\\d(?![\\p{L}\\d'"½/]|:\\d|\\s?(?:s|secs?|mins?|reps?|x)\\b|st|nd|rd|th)))*`,
  'giu',
)
const bare = /^\s*(\d)\s?[-–]\s?(\d)(?=\s+\d|\s*[:=])/

/** What one part of a label is: a grade, or several. */
function gradesOfPart(part: string): number[] | undefined {
  const text = part.trim().toLowerCase()
  if (new RegExp(`^(?:${first})`).test(text) || /^[krf]$/.test(text)) return [0]
  const stage = /^ks\s?([12])$/.exec(text)
  if (stage) return stage[1] === '1' ? [1, 2] : [3, 4, 5, 6]
  const ages = /^(\d{1,2})\s?[-–]\s?(\d{1,2})\s?y/.exec(text)
  if (ages) return range(Number(ages[1]) - 5, Number(ages[2]) - 5)
  const n = Number(/\d{1,2}/.exec(text)?.[0])
  if (!Number.isInteger(n)) return undefined
  if (/^(?:p|primary)/.test(text)) return [n - 1]
  return [/^u\s?\d/.test(text) ? n - 6 : n]
}
const range = (from: number, to: number): number[] =>
  to < from ? [from] : Array.from({ length: to - from + 1 }, (_, i) => from + i)

/** @returns the grades a label means; undefined where some of them are not of a primary school */
export function labelGrades(label: string): number[] | undefined {
  const parts = label.split(/(\s?(?:-|–|\bto\b|\/|&|\+|,|\band\b)\s?)/i)
  // "8–11 yrs" is one part with a dash in it.
  const whole = /^\d{1,2}\s?[-–]\s?\d{1,2}\s?y/i.test(label) ? gradesOfPart(label) : undefined
  const all: number[] = whole ? [...whole] : []
  let scottish = false
  for (let i = 0; !whole && i < parts.length; i += 2) {
    scottish ||= /^\s*p/i.test(parts[i]!) && !/^\s*prep/i.test(parts[i]!)
    const bareDigit = /^\s*\d\s*$/.test(parts[i]!)
    const grades = gradesOfPart(bareDigit && scottish ? `p${parts[i]!.trim()}` : parts[i]!)
    if (!grades) return undefined
    const joined = i > 0 ? parts[i - 1]!.trim().toLowerCase() : ''
    if (joined === '-' || joined === '–' || joined === 'to') all.push(...range(all.at(-1)! + 1, grades[0]!))
    all.push(...grades)
  }
  const list = [...new Set(all)].sort((a, b) => a - b)
  return list.length && list.every((g) => g >= 0 && g <= 6) ? list : undefined
}

/**
 * The groups a line names.
 *
 * @param alone whether bare grades before an amount, `3-4 15 reps`, are a group here
 * @example groupLabels('Y1/2: 20 s, KS2: 30 s').map((g) => g.grades) // [[1, 2], [3, 4, 5, 6]]
 */
export function groupLabels(text: string, alone = false): readonly GroupLabel[] {
  if (!mayName.test(text)) return []
  const cache = labels[alone ? 1 : 0]
  const known = cache.get(text)
  if (known) return known
  if (cache.size > 500) cache.clear()
  const found = labelsIn(text, alone)
  cache.set(text, found)
  return found
}
/** Grades by themselves, as they stand over a column. */
const bareGrades = /^\s*(\d)(?:\s?[-–]\s?(\d))?\s*$/

/**
 * The group each column of a table is for, by the columns' heads. Grades by themselves are a group where another column is one too.
 *
 * @example groupColumns(['Exercise', 'K-1', '2-3']).map((g) => g?.grades) // [undefined, [0, 1], [2, 3]]
 */
export function groupColumns(heads: readonly string[]): (GroupLabel | undefined)[] {
  const sure = heads.map((head) => groupLabels(head)[0])
  const found = heads.map((head, i): GroupLabel | undefined => {
    const [, from, to] = bareGrades.exec(head) ?? []
    if (sure[i] || !from) return sure[i]
    const grades = range(Number(from), Number(to ?? from))
    return Number(to ?? from) > 6 || Number(to ?? from) < Number(from)
      ? undefined
      : { label: head.trim(), grades, at: 0, end: head.length }
  })
  const ranges = found.filter((g, i) => sure[i] || (g?.grades.length ?? 0) > 1)
  return ranges.length > 1 || sure.some(Boolean) ? found : sure
}

/** A label has a number in it, or is a name of the first years. */
const mayName = new RegExp(`\\d|(?:${first})`, 'i')
/** A line is looked at beside each of its neighbours. */
const labels = [new Map<string, readonly GroupLabel[]>(), new Map<string, readonly GroupLabel[]>()] as const

function labelsIn(text: string, alone: boolean): GroupLabel[] {
  const inBrackets = /\((\d)\s?[-–]\s?(\d)\)/.exec(text)
  const found = [...text.matchAll(pattern)].flatMap((m): GroupLabel[] => {
    const grades = labelGrades(m[0])
    return grades ? [{ label: m[0].trim(), grades, at: m.index, end: m.index + m[0].length }] : []
  })
  if (found.length) return found
  if (inBrackets && Number(inBrackets[2]) <= 6 && Number(inBrackets[1]) < Number(inBrackets[2])) {
    const at = inBrackets.index + 1
    return [
      {
        label: inBrackets[0].slice(1, -1),
        grades: range(Number(inBrackets[1]), Number(inBrackets[2])),
        at,
        end: at + 3,
      },
    ]
  }
  if (!alone) return found
  const match = bare.exec(text)
  if (!match) return []
  const grades = range(Number(match[1]), Number(match[2]))
  return grades.every((g) => g <= 6) ? [{ label: match[0].trim(), grades, at: 0, end: match[0].length }] : []
}

/** Groups as a text names them, in its order. Of labels for the same grades the first stands. */
export function groupsFrom(labels: readonly GroupLabel[]): Group[] {
  const groups: Group[] = []
  for (const { label, grades } of labels) {
    if (groups.length >= limits.groups || groups.some((g) => String(g.grades) === String(grades))) continue
    const name = cleanText(plainLabel(label), 'line').trim() || gradesName(grades)
    groups.push({
      id: `g${groups.length + 1}`,
      letter: laneLetters[groups.length]!,
      name,
      grades: [...grades],
      ages: defaultAges(grades),
    })
  }
  return groups
}

/** The groups of a session that a label means: those of its grades, else those nearest to them. */
export function groupsMeant(grades: readonly number[], groups: readonly Group[]): string[] {
  const exact = groups.filter((g) => String(g.grades) === String(grades))
  if (exact.length) return exact.map((g) => g.id)
  return groups.filter((g) => g.grades.some((grade) => grades.includes(grade))).map((g) => g.id)
}
