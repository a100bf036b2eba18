import type { NextStep, StepsFor } from '../../nextTime/step.ts'
import type { TargetBlock } from './schema.ts'

/** Every target half a meter farther or closer: their places are the same for all groups. */
function moved(block: TargetBlock, by: number): NextStep | undefined {
  const targets = block.targets.map((t) => ({ ...t, metres: t.metres + by }))
  if (targets.some((t) => t.metres < 0.5 || t.metres > 6)) return undefined
  const [from, to] = [block.targets, targets].map((all) => Math.min(...all.map((t) => t.metres)))
  return { lever: 'distance', facts: { from: from!, to: to! }, block: { ...block, targets }, shared: true }
}

/** Half a meter back, or half a meter nearer. */
export const targetNext: StepsFor<TargetBlock> = (block) => ({ up: [moved(block, 0.5)], down: [moved(block, -0.5)] })
