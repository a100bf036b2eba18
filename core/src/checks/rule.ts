import type { CheckedCell, CheckView } from './view.ts'

/** How much a finding weighs: not to be sent home so, worth a look, worth knowing. */
export const levels = ['stop', 'look', 'note'] as const
export type Level = (typeof levels)[number]

export const ruleFamilies = ['shape', 'dose', 'home', 'care'] as const
export type RuleFamily = (typeof ruleFamilies)[number]

/** Every rule by its id, for ever: its file has the same name in camel case. */
export const ruleIds = [
  'short-warm-up',
  'no-cool-down',
  'over-minutes',
  'well-under-minutes',
  'lanes-apart',
  'long-talk',
  'no-water',
  'long-for-young',
  'landings',
  'hard-landings',
  'long-hold',
  'wrists',
  'kit-missing',
  'floor-too-small',
  'thud-where-quiet',
  'partner-alone',
  'adult-alone',
  'things-to-fetch',
  'beyond-grade',
  'young-load',
  'no-easier',
] as const
export type RuleId = (typeof ruleIds)[number]

/** Where a finding is, by ids; nothing of it where it is about the whole session. */
export interface Where {
  section?: string
  block?: string
  station?: string
}

/** What its words are made of: numbers and names. */
export type Facts = Readonly<Record<string, number | string>>

/** Something a thoughtful colleague would say, as data. */
export interface Finding {
  rule: RuleId
  level: Level
  where: Where
  /** Ids of the groups it is about. */
  groups: string[]
  facts: Facts
}

/** A finding before its rule's name is put to it. */
export type Found = Omit<Finding, 'rule' | 'level'> & { level?: Level }

/** One thing to look at. */
export interface Rule {
  id: RuleId
  level: Level
  family: RuleFamily
  find: (view: CheckView) => Found[]
}

/** Findings about single stations, one a station: the groups it holds for together. */
export function perStation(
  { cells }: CheckView,
  find: (cell: CheckedCell) => (Omit<Found, 'where' | 'groups'> & { facts: Facts }) | undefined,
): Found[] {
  const found = new Map<string, Found>()
  for (const cell of cells) {
    const one = find(cell)
    if (!one) continue
    const key = `${cell.station.id} ${JSON.stringify(one)}`
    const before = found.get(key)
    if (before) before.groups.push(cell.group.id)
    else
      found.set(key, {
        ...one,
        where: { section: cell.section.id, block: cell.block.id, station: cell.station.id },
        groups: [cell.group.id],
      })
  }
  return [...found.values()]
}
