import { ProblemError } from '../../base/problem.ts'
import { newBlock, type Block, type BlockOf, type Form } from '../forms.ts'
import { nextId } from '../../base/id.ts'
import type { Section, Workout } from '../schema.ts'
import { fresh } from './fresh.ts'
import {
  blockPlace,
  changeBlock,
  idsOf,
  inserted,
  moved,
  replaced,
  sectionPlace,
  withinLimits,
  without,
} from './locate.ts'

const withBlocks = (workout: Workout, section: number, blocks: Block[]): Workout => ({
  ...workout,
  sections: replaced<Section>(workout.sections, section, { ...workout.sections[section]!, blocks }),
})

/**
 * Adds an empty block of a form to a section.
 *
 * @param before id of the block it comes before; left out, it is the section's last
 */
export function addBlock(workout: Workout, sectionId: string, form: Form, before?: string): Workout {
  const section = sectionPlace(workout, sectionId)
  const { blocks } = workout.sections[section]!
  const at = before === undefined ? blocks.length : blocks.findIndex((b) => b.id === before)
  if (at < 0) throw new ProblemError([{ code: 'not-found', path: [before!], received: before }])
  const block = newBlock[form](nextId(idsOf(workout), 'b'))
  return withinLimits(withBlocks(workout, section, inserted(blocks, at, block)))
}

/** Takes a block out with all its stations. @throws {ProblemError} `not-found` */
export function removeBlock(workout: Workout, blockId: string): Workout {
  const { section, block } = blockPlace(workout, blockId)
  return withBlocks(workout, section, without(workout.sections[section]!.blocks, block))
}

/** Moves a block up (−1) or down (1), past the end of its section into the next one. */
export function moveBlock(workout: Workout, blockId: string, by: -1 | 1): Workout {
  const { section, block } = blockPlace(workout, blockId)
  const { blocks } = workout.sections[section]!
  const to = block + by
  if (to >= 0 && to < blocks.length) return withBlocks(workout, section, moved(blocks, block, to))
  const other = workout.sections[section + by]
  if (!other) return workout
  const taken = withBlocks(workout, section, without(blocks, block))
  const at = by < 0 ? other.blocks.length : 0
  return withBlocks(taken, section + by, inserted(other.blocks, at, blocks[block]!))
}

/** Puts a copy of a block, with new ids, right after it. */
export function duplicateBlock(workout: Workout, blockId: string): Workout {
  const { section, block } = blockPlace(workout, blockId)
  const { blocks } = workout.sections[section]!
  return withinLimits(withBlocks(workout, section, inserted(blocks, block + 1, fresh(workout, blocks[block]!))))
}

/**
 * Changes a block of a known form: its laps, rests, seconds, title, note.
 *
 * @param change from the block to the block; checked afterwards
 * @throws {ProblemError} `invalid` when the block has another form; else whatever its schema finds
 * @example setBlock(w, 'b2', 'intervals', (b) => ({ ...b, laps: mapGroups(b.laps, ['g3'], () => laps) }))
 */
export function setBlock<F extends Form>(
  workout: Workout,
  blockId: string,
  form: F,
  change: (block: BlockOf<F>) => BlockOf<F>,
): Workout {
  return changeBlock(workout, blockId, (block) => {
    if (block.form !== form) {
      throw new ProblemError([
        { code: 'invalid', path: [blockId, 'form'], expected: { value: form }, received: block.form },
      ])
    }
    return change(block as BlockOf<F>)
  })
}

/** Changes what every block has: title, note, link. Undefined takes a field away. */
export function setBlockWords(
  workout: Workout,
  blockId: string,
  fields: Partial<Pick<Block, 'title' | 'note' | 'link'>>,
): Workout {
  return changeBlock(workout, blockId, (block) => ({ ...block, ...fields }))
}
