import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sumsFor } from '../src/sums/sums.ts'
import { timeline, totals, type Block, type BlockOf, type Session } from '@esfuerzo/core'
import { sessionArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { plainTimes, type Three } from './support/plainTimes.ts'
import { samples } from './support/samples.ts'

/** What the plain computation can enumerate draw by draw: few rows, few draws. */
function small(block: BlockOf<'chance'>): BlockOf<'chance'> {
  const most = block.device === 'cards' ? 2 : block.device === 'dice' ? 3 : 4
  const cleared = block.stop.kind === 'cleared' && block.device === 'coin'
  const stop: BlockOf<'chance'>['stop'] =
    block.stop.kind === 'seconds' || cleared || (block.stop.kind === 'cleared' && block.device === 'toss')
      ? block.stop
      : { kind: 'draws', draws: block.stop.kind === 'draws' ? Math.min(most, block.stop.draws) : most }
  return { ...block, stop, stations: block.stations.slice(0, cleared ? 2 : 4) }
}

const smaller = (session: Session): Session => ({
  ...session,
  sections: session.sections.map((section) => ({
    ...section,
    blocks: section.blocks.map((block): Block => (block.form === 'chance' ? small(block) : block)),
  })),
})

describe('the timing and a second implementation, written only from the docs', () => {
  it('agree on every block of any session, for a quick, a usual and a slow child, and on its reps', () => {
    fc.assert(
      fc.property(sessionArbitrary.map(smaller), (session) => {
        for (const group of session.groups) {
          const steps = timeline(session, group.id, library)
          const used = new Set<string>()
          const plain = plainTimes(session, group, library, {
            sums: (block) => sumsFor(block, group, used).map(({ answer }) => answer),
            last: (block) => steps.findLast((s) => s.block === block.id && s.kind === 'work' && s.station)?.station,
          })
          const sums = totals(steps, group, library)
          // Where a game stopped by the clock leaves a child is not defined in the docs.
          const blocks = session.sections.flatMap((s) => s.blocks)
          const stopped = blocks.findIndex((b) => b.form === 'chance' && b.stop.kind === 'seconds')
          for (const { id, form } of blocks.slice(0, stopped < 0 ? undefined : stopped + 1)) {
            const { low, typical, high } = sums.blocks[id]?.seconds ?? { low: 0, typical: 0, high: 0 }
            const ours: Three = [low, typical, high]
            expect({ form, id, seconds: ours }).toEqual({ form, id, seconds: plain.blocks[id] })
          }
          const reps: Record<string, number> = {}
          const chance = new Set(blocks.filter((b) => b.form === 'chance').map((b) => b.id))
          for (const step of steps)
            if (step.reps && !chance.has(step.block)) reps[step.move!] = (reps[step.move!] ?? 0) + step.reps
          expect(reps).toEqual(plain.reps)
        }
      }),
      { numRuns: samples(100, 2000) },
    )
  })
})
