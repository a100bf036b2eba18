import type { Block } from '../session/forms.ts'
import { mapGroups, valueFor, type PerGroup } from '../terms/perGroup.ts'
import type { NextLever, NextPlace, NextStep } from './step.ts'

/** A number of a block changed by some amount for a group; undefined if that goes too far. */
export function numberStep<B extends Block>(
  lever: NextLever,
  block: B,
  field: keyof B & string,
  { group }: NextPlace,
  by: number,
  { least = 1, most = Infinity }: { least?: number; most?: number } = {},
): NextStep | undefined {
  const value = block[field] as PerGroup<number> | undefined
  if (!value) return undefined
  const from = valueFor(value, group.id)
  const to = from + by
  if (to < least || to > most) return undefined
  return { lever, facts: { from, to }, block: { ...block, [field]: mapGroups(value, [group.id], () => to) } }
}
