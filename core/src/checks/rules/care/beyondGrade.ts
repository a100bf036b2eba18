import { perStation, type Rule } from '../../rule.ts'

/** A version that the lowest grade of its group is not ready for. */
export const beyondGrade: Rule = {
  id: 'beyond-grade',
  level: 'look',
  family: 'care',
  find: (view) =>
    perStation(view, ({ version, group }) =>
      version.fromGrade > Math.min(...group.grades)
        ? { facts: { version: version.name, from: version.fromGrade } }
        : undefined,
    ),
}
