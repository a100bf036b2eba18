import { ProblemError } from '../../base/problem.ts'
import { newBlock, type Block, type BlockOf, type Form } from '../forms.ts'
import { nextId } from '../../base/id.ts'
import type { Section, Session } from '../schema.ts'
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

const withBlocks = (session: Session, section: number, blocks: Block[]): Session => ({
  ...session,
  sections: replaced<Section>(session.sections, section, { ...session.sections[section]!, blocks }),
})

/**
 * Adds an empty block of a form to a section.
 *
 * @param before id of the block to insert it before; by default it goes last in the section
 */
export function addBlock(session: Session, sectionId: string, form: Form, before?: string): Session {
  const section = sectionPlace(session, sectionId)
  const { blocks } = session.sections[section]!
  const at = before === undefined ? blocks.length : blocks.findIndex((b) => b.id === before)
  if (at < 0) throw new ProblemError([{ code: 'not-found', path: [before!], received: before }])
  const block = newBlock[form](nextId(idsOf(session), 'b'))
  return withinLimits(withBlocks(session, section, inserted(blocks, at, block)))
}

/** Removes a block with all its stations. @throws {ProblemError} `not-found` */
export function removeBlock(session: Session, blockId: string): Session {
  const { section, block } = blockPlace(session, blockId)
  return withBlocks(session, section, without(session.sections[section]!.blocks, block))
}

/** Moves a block up (−1) or down (1), past the end of its section into the next one. */
export function moveBlock(session: Session, blockId: string, by: -1 | 1): Session {
  const { section, block } = blockPlace(session, blockId)
  const { blocks } = session.sections[section]!
  const to = block + by
  if (to >= 0 && to < blocks.length) return withBlocks(session, section, moved(blocks, block, to))
  const other = session.sections[section + by]
  if (!other) return session
  const taken = withBlocks(session, section, without(blocks, block))
  const at = by < 0 ? other.blocks.length : 0
  return withBlocks(taken, section + by, inserted(other.blocks, at, blocks[block]!))
}

/** Inserts a copy of a block, with new ids, right after it. */
export function duplicateBlock(session: Session, blockId: string): Session {
  const { section, block } = blockPlace(session, blockId)
  const { blocks } = session.sections[section]!
  return withinLimits(withBlocks(session, section, inserted(blocks, block + 1, fresh(session, blocks[block]!))))
}

/**
 * Changes a block of a known form: its laps, rests, seconds, title, note.
 *
 * @param change from the old block to the new one, which is validated
 * @throws {ProblemError} `invalid` if the block has another form; otherwise whatever its schema finds
 * @example setBlock(w, 'b2', 'intervals', (b) => ({ ...b, laps: mapGroups(b.laps, ['g3'], () => laps) }))
 */
export function setBlock<F extends Form>(
  session: Session,
  blockId: string,
  form: F,
  change: (block: BlockOf<F>) => BlockOf<F>,
): Session {
  return changeBlock(session, blockId, (block) => {
    if (block.form !== form) {
      throw new ProblemError([
        { code: 'invalid', path: [blockId, 'form'], expected: { value: form }, received: block.form },
      ])
    }
    return change(block as BlockOf<F>)
  })
}

/** Changes the fields every block has: title, note, link. Undefined removes a field. */
export function setBlockWords(
  session: Session,
  blockId: string,
  fields: Partial<Pick<Block, 'title' | 'note' | 'link'>>,
): Session {
  return changeBlock(session, blockId, (block) => ({ ...block, ...fields }))
}
