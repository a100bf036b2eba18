import { limits } from '../../base/limits.ts'
import { laneLetters, type Group } from '../../terms/group.ts'
import { groupsFrom, groupsMeant, type GroupLabel } from './groups.ts'
import type { Item } from './item.ts'
import { choiceKey, questionAt, type Answer, type Choices, type Question } from './questions.ts'

/** A text's items with its labels as the session's groups have them. */
export interface MeantGroups {
  items: Item[]
  groups: readonly Group[]
  questions: Question[]
}

/**
 * The labels of a text matched to the groups a session has. Whom a label means that is none of them is asked: a group of the session,
 * or one more.
 *
 * @param source the text's lines
 */
export function meantGroups(
  items: readonly Item[],
  ofSession: readonly Group[],
  source: readonly string[],
  choices: Choices,
): MeantGroups {
  let groups = ofSession
  const questions = new Map<string, Question>()
  /** Grades of the labels that mean other ones, by what was written. */
  const instead = new Map<string, number[]>()
  const settle = (label: GroupLabel, line: number): void => {
    if (groupsMeant(label.grades, groups).length) return
    const at = Math.max(0, source[line]!.indexOf(label.label))
    const question = questionAt('group', line, at, label.label, [
      ...groups.map(({ id, name }): Answer => ({ as: 'group', group: id, name })),
      ...(groups.length < limits.groups ? [{ as: 'newGroup' } as const] : []),
    ])
    const told = choices.get(choiceKey(question))
    const group = told?.as === 'group' && groups.find((g) => g.id === told.group)
    if (group) instead.set(String(label.grades), [...group.grades])
    else if (told?.as === 'newGroup') {
      const n = groups.length
      groups = [...groups, { ...groupsFrom([label])[0]!, id: `g${n + 1}`, letter: laneLetters[n]! }]
    } else if (!questions.has(choiceKey(question))) questions.set(choiceKey(question), question)
  }
  for (const item of items) if (item.kind === 'legend') for (const { label } of item.entries) settle(label, item.line)
  const meant = (grades: number[]): number[] => instead.get(String(grades)) ?? grades
  return {
    groups,
    questions: [...questions.values()],
    items: items.map((item) => {
      if (item.kind === 'legend')
        return {
          ...item,
          entries: item.entries.map((e) => ({ ...e, label: { ...e.label, grades: meant(e.label.grades) } })),
        }
      if (item.kind !== 'rows') return item
      const rows = item.rows.map((row) =>
        row.doses ? { ...row, doses: row.doses.map((d) => ({ ...d, grades: meant(d.grades) })) } : row,
      )
      return { ...item, rows }
    }),
  }
}
