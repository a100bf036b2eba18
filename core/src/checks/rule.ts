import type { Level } from '../terms/checkLevel.ts'
import type { CheckedCell, CheckedLane, CheckedStep, CheckView } from './view.ts'
import type { Where } from './where.ts'

export { levels, type Level } from '../terms/checkLevel.ts'

export const ruleFamilies = ['shape', 'dose', 'changeOver', 'home', 'care', 'words', 'measures', 'balance'] as const
export type RuleFamily = (typeof ruleFamilies)[number]

/** Every rule by its id, for ever: its file has the same name in camel case, unless it only looks for words. */
export const ruleIds = [
  'no-warm-up',
  'short-warm-up',
  'hard-start',
  'no-cool-down',
  'straight-down',
  'game-cut',
  'over-minutes',
  'section-over',
  'lanes-apart',
  'well-under-minutes',
  'long-talk',
  'no-water',
  'no-counter-shape',
  'static-first',
  'not-warmed',
  'worked-not-stretched',
  'mostly-still',
  'new-moves',
  'long-for-young',
  'aim-absent',
  'work-too-long',
  'work-rest-ratio',
  'vigorous-minutes',
  'loaded-sets',
  'loaded-reps',
  'power-reps',
  'hold-policy',
  'long-hold',
  'sides-unequal',
  'landings',
  'hard-landings',
  'wrists',
  'same-muscle-twice',
  'jumps-in-a-row',
  'big-step-up',
  'rest-too-short',
  'hands-full',
  'kit-missing',
  'floor-too-small',
  'thud-where-quiet',
  'height',
  'thrown-things',
  'sprint-to-wall',
  'partner-alone',
  'adult-alone',
  'things-to-fetch',
  'things-to-write',
  'unsafe-weight',
  'harmful-bottle',
  'stairs-jump',
  'rolling-support',
  'stand-in-unfit',
  'small-things',
  'in-the-mouth',
  'round-the-neck',
  'blindfold',
  'heading',
  'inverted',
  'young-load',
  'overhead-load',
  'beyond-grade',
  'no-easier',
  'load-too-heavy',
  'load-not-stated',
  'young-dips',
  'spinning',
  'high-elbows',
  'loaded-round-twist',
  'neck-circles',
  'deep-walking-squats',
  'held-feet-sit-ups',
  'eyes-closed',
  'socks-jump',
  'breath-held',
  'bounced-stretch',
  'raced-technique',
  'floor-burpee',
  'neck-pulse',
  'forfeits',
  'seated-twin',
  'body-talk',
  'punishment-words',
  'filmed',
  'too-many-words',
  'surprise-told',
  'measured-cold',
  'other-set-up',
  'test-beyond-grade',
  'test-thuds',
  'one-sided',
] as const
export type RuleId = (typeof ruleIds)[number]

/** Rules about a term. Their ids never change. */
export const termRuleIds = [
  'push-pull-legs-core',
  'upper-lower-core',
  'categories',
  'seen-once',
  'strength-days',
  'again-in-time',
  'new-moves-a-week',
  'things-a-week',
  'test-days',
  'easier-week',
  'after-weeks-off',
] as const
export type TermRuleId = (typeof termRuleIds)[number]

/** The numbers and names its sentence is made of. */
export type Facts = Readonly<Record<string, number | string>>

/** A finding of the checks, as data. */
export interface Finding {
  rule: RuleId
  level: Level
  where: Where
  /** Ids of the groups it is about. */
  groups: string[]
  facts: Facts
  /** Whether the teacher ignored it, and why. */
  answered?: string
}

/** A finding before its rule's name is added. */
export type Found = Omit<Finding, 'rule' | 'level' | 'answered'> & { level?: Level }

/** A single finding. */
export interface Rule {
  id: RuleId
  level: Level
  family: RuleFamily
  find: (view: CheckView) => Found[]
}

/** Findings about single stations, one per station, for all the groups it applies to. */
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

/** One finding for all lanes in which something is found, with the numbers of the first. */
export function perLane(
  { lanes }: Pick<CheckView, 'lanes'>,
  find: (lane: CheckedLane) => { where?: Where; facts: Facts; level?: Level } | undefined,
): Found[] {
  const found = lanes.flatMap((lane) => {
    const one = find(lane)
    return one ? [{ group: lane.group.id, ...one }] : []
  })
  const [first] = found
  if (!first) return []
  const { group: _, where = {}, ...rest } = first
  return [{ where, groups: found.map((one) => one.group), ...rest }]
}

/** Findings about single steps, one per station, for all the groups it applies to. */
export function perStepOfStation(
  { lanes }: Pick<CheckView, 'lanes'>,
  find: (step: CheckedStep, lane: CheckedLane) => { facts: Facts; level?: Level } | undefined,
): Found[] {
  const found = new Map<string, Found>()
  for (const lane of lanes)
    for (const step of lane.steps) {
      if (!step.station) continue
      const before = found.get(step.station)
      if (before?.groups.includes(lane.group.id)) continue
      const one = find(step, lane)
      if (!one) continue
      if (before) before.groups.push(lane.group.id)
      else
        found.set(step.station, {
          ...one,
          where: { section: step.section, block: step.block, station: step.station },
          groups: [lane.group.id],
        })
    }
  return [...found.values()]
}
