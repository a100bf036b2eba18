import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import type { Block } from '../session/forms.ts'
import { isKept, type Role, type Section, type Session } from '../session/schema.ts'
import type { FitBlock, FitProblem, Passage } from './fitProblem.ts'
import { LaneTimes } from './laneTimes.ts'
import { ownCost } from './levers.ts'
import { settingsOf, variantsOf, type Direction, type Setting, type Variant } from './settings.ts'

/** Costs are whole numbers: halves come from the sections' factors. */
export const costScale = 2

/** "Finish together" allows this many seconds. */
export const finishTogether = 15

/** The cost of a section's levers relative to the main part, which gives first. Ours. */
const factors: Record<Role, number> = {
  main: 1,
  challenge: 1,
  skill: 1.5,
  game: 1.5,
  warmUp: 2,
  brief: 2,
  test: 2,
  coolDown: 2,
}

/** What each choice of the problem means. */
export interface FitChoices {
  block: Block
  /** `v` is the variant's index. */
  shared: readonly { setting: Setting; variant: Variant; v: number }[]
  /** By lane and variant. */
  own: readonly (readonly (readonly Setting[])[])[]
}

export interface BuiltFit {
  problem: FitProblem
  /** By lane. */
  groupIds: readonly string[]
  choices: FitChoices[]
}

export interface BuildOptions {
  least: number
  most: number
  /** Settings that cost more are not considered. */
  mostCost: number
  direction: Direction
  /** Whether a lane's own settings may also go the opposite way, to end together with the others. */
  even: boolean
  /** `block:lever` or `block:out:station` that must not be turned. */
  barred: ReadonlySet<string>
}

/** Whether anything in a section may change at all. */
export const mayChange = (section: Section): boolean => !isKept(section) && section.role !== 'coolDown'

/** The cost of a minute taken from a lane that is on time: as much as one of a cap. Ours. */
const minuteTaken = 3

/** Started minutes that a block gets shorter by, in whatever way. */
const lostMinutes = (now: number, after: Passage | undefined): number => {
  const ways = after?.flatMap((way) => (way ? [way.seconds] : [])) ?? []
  return ways.length ? Math.max(0, Math.ceil((now - Math.max(...ways)) / 60)) : 0
}

const asItIs: readonly Variant[] = [{ out: [], cost: 0 }]

/**
 * A session as an optimization problem, reusable with different bounds: for each block, the settings for all groups and those for one, with
 * their costs and their effect on each lane's seconds. Kept sections, the first three minutes of a warm-up and the cool-down keep their
 * current setting; no setting exceeds a grade's limit, or exceeds it further than now.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function fitBuilder(session: Session, ours: Library): (options: BuildOptions) => BuiltFit {
  const library = libraryFor(session, ours)
  const lanes = session.groups.map((group) => new LaneTimes(session, group, library, mayChange))
  const groupIds = session.groups.map((g) => g.id)
  const flat = session.sections.flatMap((section) => section.blocks.map((block) => ({ section, block })))
  const lapMinutes = flat.map((_, k) => Math.ceil(Math.max(...lanes.map((lane) => lane.lapSeconds(k))) / 60))

  return ({ least, most, mostCost, direction, even, barred }) => {
    // If all lanes have to get shorter, nothing is lost.
    const late = lanes.map((lane) => direction !== 'shorter' || lane.total > most)
    const choices: FitChoices[] = []
    const blocks: FitBlock[] = []
    let entries = lanes.map(() => new Set([0]))
    for (const [k, { section, block }] of flat.entries()) {
      const factor = factors[section.role]
      const room = mayChange(section) ? mostCost / factor : 0
      const cost = (n: number) => Math.round(n * factor * costScale)
      const settings = settingsOf(block, room, direction, barred, groupIds, false, lapMinutes[k]!)
      const variants = direction === 'longer' ? asItIs : variantsOf(block, room, barred)
      const ownSettings = (id: string) =>
        room > ownCost
          ? settingsOf(block, room - ownCost, even ? 'either' : direction, barred, [id], true, lapMinutes[k]!)
          : []
      const passages = (variant: Variant, setting: Setting) =>
        lanes.map((lane, g) => lane.passage(k, variant, setting, entries[g]!))

      const all = variants.flatMap((variant, v) =>
        settings
          .filter((s) => s.cost + variant.cost <= room)
          .map((setting) => {
            const follow = passages(variant, setting)
            return { setting, variant, v, cost: cost(setting.cost + variant.cost), follow, key: keyOf(v, ...follow) }
          }),
      )
      const shared = distinct(all).filter((s) => s.follow.some(Boolean))
      const settingsOfLane = groupIds.map(ownSettings)
      const own = lanes.map((lane, g) =>
        variants.map((variant) =>
          distinct(
            settingsOfLane[g]!.flatMap((setting) => {
              const passage = lane.passage(k, variant, setting, entries[g]!)
              return passage ? [{ setting, cost: cost(setting.cost + ownCost), passage, key: keyOf(0, passage) }] : []
            }),
          ),
        ),
      )
      blocks.push({
        shared: shared.map((s) => ({ cost: s.cost, variant: s.v })),
        lanes: lanes.map((lane, g) => ({
          follow: shared.map((s) => s.follow[g]),
          spared: shared.map((s) => (late[g] ? 0 : cost(minuteTaken * lostMinutes(lane.seconds(k), s.follow[g])))),
          own: own[g]!,
        })),
      })
      choices.push({
        block,
        shared,
        own: own.map((ofVariants) => ofVariants.map((list) => list.map((o) => o.setting))),
      })
      entries = lanes.map((_, g) => {
        const ways = [...shared.map((s) => s.follow[g]), ...own[g]!.flat().map((o) => o.passage)]
        return new Set(ways.flatMap((passage) => passage?.flatMap((way) => (way ? [way.exit] : [])) ?? []))
      })
    }
    const problem: FitProblem = {
      blocks,
      lanes: lanes.length,
      states: Math.max(...lanes.map((lane) => lane.states)),
      least,
      most,
      ...(session.finishTogether && { together: finishTogether }),
    }
    return { problem, groupIds, choices }
  }
}

/** Settings with the same key have the same effect on every lane. */
function keyOf(
  variant: number,
  ...passages: (readonly ({ seconds: number; exit: number } | undefined)[] | undefined)[]
) {
  let key = `${variant}`
  for (const passage of passages) {
    key += '|'
    passage?.forEach((way, entry) => (key += way ? `${entry}:${way.seconds}>${way.exit} ` : ''))
  }
  return key
}

/** The cheapest of those with the same key. */
function distinct<T extends { cost: number; key: string }>(list: readonly T[]): T[] {
  const seen = new Set<string>()
  return [...list].sort((a, b) => a.cost - b.cost).filter(({ key }) => !seen.has(key) && seen.add(key))
}
