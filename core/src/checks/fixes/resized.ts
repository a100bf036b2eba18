import { sameValue } from '../../base/sameValue.ts'
import { changeBlock, findBlock } from '../../session/edits/locate.ts'
import type { Block } from '../../session/forms.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Role, Session } from '../../session/schema.ts'
import type { CheckView } from '../view.ts'
import type { Facts } from '../rule.ts'
import type { Candidate } from './fix.ts'

/** The blocks of sections with the given roles, the sections in that order. */
export const blocksOf = ({ session }: CheckView, roles: readonly Role[]): Block[] =>
  session.sections
    .filter((s) => roles.includes(s.role))
    .sort((a, b) => roles.indexOf(a.role) - roles.indexOf(b.role))
    .flatMap((section) => section.blocks)

/**
 * How often a block is repeated, before and after, and in which lanes: `4 → 1`, `4 → 1 (B, C)`, `A 4 → 2, B 3 → 1`; empty if only its
 * seconds changed.
 */
function lapsFacts({ groups }: Session, before: Block, after: Block): Facts {
  const { laps, lapWord: word } = traitsOf(before)
  // A ladder's size is its top, not its number of rungs.
  if (!laps || word === 'top') return {}
  const moved = groups.flatMap(({ id, letter }) => {
    const [from, to] = [laps(before, id), laps(after, id)]
    return from === to ? [] : [{ letter, step: `${from} → ${to}` }]
  })
  const [first] = moved
  if (!first) return {}
  if (moved.some(({ step }) => step !== first.step))
    return { word, steps: moved.map(({ letter, step }) => `${letter} ${step}`).join(', ') }
  const whose = moved.length < groups.length ? ` (${moved.map(({ letter }) => letter).join(', ')})` : ''
  return { word, steps: first.step + whose }
}

/** Each of the blocks made longer or shorter by one step of its form; then by two, then by three. */
export function* resized(
  { session, blocks }: CheckView,
  some: readonly Block[],
  change: (block: Block) => Block,
): Generator<Candidate> {
  for (const n of [1, 2, 3])
    for (const { id, title } of some) {
      const edited = changeBlock(session, id, (block) => {
        let now = block
        for (let i = 0; i < n; i++) now = change(now)
        return now
      })
      if (sameValue(edited, session)) continue
      const block = title ?? blocks.get(id)?.section.title ?? ''
      yield { facts: { block, ...lapsFacts(session, findBlock(session, id), findBlock(edited, id)) }, session: edited }
    }
}
