import { sameValue } from '../../base/sameValue.ts'
import { changeBlock } from '../../session/edits/locate.ts'
import type { Block } from '../../session/forms.ts'
import type { Role } from '../../session/schema.ts'
import type { CheckView } from '../view.ts'
import type { Candidate } from './fix.ts'

/** The blocks of parts of some roles, the parts in that order. */
export const blocksOf = ({ workout }: CheckView, roles: readonly Role[]): Block[] =>
  workout.sections
    .filter((s) => roles.includes(s.role))
    .sort((a, b) => roles.indexOf(a.role) - roles.indexOf(b.role))
    .flatMap((section) => section.blocks)

/** Each of the blocks made longer or shorter by one step of its form; then by two, then by three. */
export function* resized(
  { workout, blocks }: CheckView,
  some: readonly Block[],
  change: (block: Block) => Block,
): Generator<Candidate> {
  for (const n of [1, 2, 3])
    for (const { id, title } of some) {
      const edited = changeBlock(workout, id, (block) => {
        let now = block
        for (let i = 0; i < n; i++) now = change(now)
        return now
      })
      if (!sameValue(edited, workout))
        yield { facts: { block: title ?? blocks.get(id)?.section.title ?? '' }, workout: edited }
    }
}
