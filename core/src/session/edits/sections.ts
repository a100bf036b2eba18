import { newBlock, type Form } from '../forms.ts'
import { nextId } from '../../base/id.ts'
import type { Role, Section, Session } from '../schema.ts'
import { cleanText } from '../../base/text.ts'
import { fresh } from './fresh.ts'
import { changeSection, idsOf, inserted, moved, sectionPlace, withinLimits, without } from './locate.ts'

/**
 * Adds a section with one empty block after another section, or at the end.
 *
 * @param after id of the section it follows; null puts it first
 */
export function addSection(
  session: Session,
  section: { role: Role; title: string; form?: Form },
  after?: string | null,
): Session {
  const at = after === undefined ? session.sections.length : after === null ? 0 : sectionPlace(session, after) + 1
  const ids = [...idsOf(session)]
  const added: Section = {
    id: nextId(ids, 'p'),
    role: section.role,
    title: cleanText(section.title, 'line'),
    blocks: [newBlock[section.form ?? 'list'](nextId(ids, 'b'))],
  }
  return withinLimits({ ...session, sections: inserted(session.sections, at, added) })
}

/** Removes a section with everything in it. @throws {ProblemError} `not-found` */
export function removeSection(session: Session, sectionId: string): Session {
  return { ...session, sections: without(session.sections, sectionPlace(session, sectionId)) }
}

/** Moves a section up (−1) or down (1); at either end nothing changes. */
export function moveSection(session: Session, sectionId: string, by: -1 | 1): Session {
  const at = sectionPlace(session, sectionId)
  const to = at + by
  if (to < 0 || to >= session.sections.length) return session
  return { ...session, sections: moved(session.sections, at, to) }
}

/** Inserts a copy of a section, with new ids, right after it. */
export function duplicateSection(session: Session, sectionId: string): Session {
  const at = sectionPlace(session, sectionId)
  const copy = fresh(session, session.sections[at]!)
  return withinLimits({ ...session, sections: inserted(session.sections, at + 1, copy) })
}

/** Changes a section's own fields: title, role, keep, surprise, note. Undefined removes a field. */
export function setSection(
  session: Session,
  sectionId: string,
  fields: Partial<Omit<Section, 'id' | 'blocks'>>,
): Session {
  return changeSection(session, sectionId, (section) => ({ ...section, ...fields }))
}
