import type { TermRule } from '../termRule.ts'

/** Weeks with sessions but without a region before it is reported. Ours, after the three weeks of a family. */
const weeks = 3

/** A region that nothing trains for weeks. */
export const upperLowerCore: TermRule = {
  id: 'upper-lower-core',
  level: 'note',
  find: ({ days }) => {
    const used = [...new Set(days.map((d) => d.week))]
    const held = (week: number, region: string) =>
      days.some((d) => d.week === week && d.session.regions.includes(region))
    return ['upper', 'core', 'lower'].flatMap((region) => {
      let gap: number[] = []
      let longest: number[] = []
      for (const week of used) {
        gap = held(week, region) ? [] : [...gap, week]
        if (gap.length > longest.length) longest = gap
      }
      return longest.length > weeks ? [{ region, from: longest[0]! + 1, to: longest.at(-1)! + 1 }] : []
    })
  },
}
