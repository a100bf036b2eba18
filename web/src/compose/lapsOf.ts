import { rungsFor, valueFor, type Block } from '@esfuerzo/core'

/** How many times a group comes to the stations of a block: laps, rounds, sets, rungs; 1 where they are done once. */
export function lapsOf(block: Block, groupId: string | undefined): number {
  const of = <T>(value: { all: T; by?: Record<string, T> }): T => (groupId ? valueFor(value, groupId) : value.all)
  if (block.form === 'intervals') return of(block.laps).length
  if (block.form === 'rounds') return of(block.rounds)
  if (block.form === 'sets') return of(block.sets)
  if (block.form === 'ladder') return rungsFor(block, groupId ?? '').length
  return 1
}
