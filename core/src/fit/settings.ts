import type { Block, StationBlock } from '../session/forms.ts'
import { hasStations, stationsOf } from '../session/forms.ts'
import type { Lever } from './lever.ts'
import { leversOf, stationOutCost } from './levers.ts'

/** A complete setting of a block's levers: how many steps each is turned, in their order. */
export interface Setting {
  steps: readonly number[]
  cost: number
}

/** No lever is turned further than this: twenty minutes of a cap, two of a rest. */
const mostSteps = 24

/** The directions in which levers may be turned. */
export type Direction = 'shorter' | 'longer' | 'either'

/**
 * All settings of a block's levers up to a cost, cheapest first. No setting turns some levers to shorten and others to lengthen: a teacher
 * does not move seconds from a rest into the work of the same block.
 *
 * @param most the most a setting may cost
 * @param barred kinds of lever that must not be turned
 * @param groups for whom: a lever goes as far as it can for any of them
 * @param own whether it is a lane's own setting, which is impossible for a lever of the whole block
 * @param lapMinutes started minutes that a lap adds to its longest lane: its extra cost
 */
export function settingsOf(
  block: Block,
  most: number,
  direction: Direction,
  barred: ReadonlySet<string>,
  groups: readonly string[],
  own: boolean,
  lapMinutes: number,
): Setting[] {
  const levers = leversOf(block).map((l) => (l.kind === 'laps' ? { ...l, cost: l.cost + lapMinutes } : l))
  if (own && levers.some((lever) => lever.whole)) return []
  const still = levers.map(() => 0)
  const settings: Setting[] = [{ steps: still, cost: 0 }]
  for (const sign of direction === 'either' ? [-1, 1] : [direction === 'shorter' ? -1 : 1]) {
    let partial: Setting[] = [{ steps: [], cost: 0 }]
    for (const lever of levers) {
      const turns = barred.has(`${block.id}:${lever.kind}`) ? 0 : farthest(block, lever, sign, most, groups)
      partial = partial.flatMap(({ steps, cost }) => {
        const more: Setting[] = []
        for (let n = 0; n <= turns && cost + n * lever.cost <= most; n++) {
          more.push({ steps: [...steps, n ? sign * n : 0], cost: cost + n * lever.cost })
        }
        return more
      })
    }
    settings.push(...partial.filter((s) => s.cost > 0))
  }
  return settings.sort((a, b) => a.cost - b.cost)
}

/** How many steps a lever can go one way, for the group with the most. */
function farthest(block: Block, lever: Lever, sign: number, most: number, groups: readonly string[]): number {
  const end = Math.min(most / lever.cost, sign > 0 ? (lever.longer ?? mostSteps) : mostSteps)
  let n = 0
  while (n + 1 <= end && groups.some((g) => lever.turn(block, [g], sign * (n + 1)))) n++
  return n
}

/** Stations left out, and the cost. */
export interface Variant {
  out: readonly string[]
  cost: number
}

/** Most optional stations of a block that are tried in every combination. */
const mostOptional = 5

/** Every choice of optional stations to leave out, up to a cost; one station always stays. */
export function variantsOf(block: Block, most: number, barred: ReadonlySet<string>): Variant[] {
  const optional = stationsOf(block).filter((s) => s.optional && !barred.has(`${block.id}:out:${s.id}`))
  let variants: Variant[] = [{ out: [], cost: 0 }]
  for (const { id } of optional.slice(0, mostOptional)) {
    variants = variants.flatMap((v) => [v, { out: [...v.out, id], cost: v.cost + stationOutCost }])
  }
  return variants.filter((v) => v.out.length === 0 || (v.cost <= most && v.out.length < stationsOf(block).length))
}

/** The block without some of its stations. */
export function withoutStations(block: Block, out: readonly string[]): Block {
  if (out.length === 0 || !hasStations(block)) return block
  return { ...(block as StationBlock), stations: block.stations.filter((s) => !out.includes(s.id)) } as Block
}

/** A block with its levers turned for some groups; undefined if one can't go that far. */
export function turnedFor(
  block: Block,
  scope: readonly string[] | 'all',
  { steps }: Pick<Setting, 'steps'>,
): Block | undefined {
  let turned: Block | undefined = block
  for (const [i, lever] of leversOf(block).entries()) {
    if (turned && steps[i]) turned = lever.turn(turned, scope, steps[i])
  }
  return turned
}
