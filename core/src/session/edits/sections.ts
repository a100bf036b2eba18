import { newBlock, type Form } from '../forms.ts'
import { nextId } from '../../base/id.ts'
import type { Role, Section, Workout } from '../schema.ts'
import { cleanText } from '../../base/text.ts'
import { fresh } from './fresh.ts'
import { changeSection, idsOf, inserted, moved, sectionPlace, withinLimits, without } from './locate.ts'

/**
 * Adds a section with one empty block after another section, or at the end.
 *
 * @param after id of the section it follows; null puts it first
 */
export function addSection(
  workout: Workout,
  section: { role: Role; title: string; form?: Form },
  after?: string | null,
): Workout {
  const at = after === undefined ? workout.sections.length : after === null ? 0 : sectionPlace(workout, after) + 1
  const ids = [...idsOf(workout)]
  const added: Section = {
    id: nextId(ids, 'p'),
    role: section.role,
    title: cleanText(section.title, 'line'),
    blocks: [newBlock[section.form ?? 'list'](nextId(ids, 'b'))],
  }
  return withinLimits({ ...workout, sections: inserted(workout.sections, at, added) })
}

/** Takes a section out with all that is in it. @throws {ProblemError} `not-found` */
export function removeSection(workout: Workout, sectionId: string): Workout {
  return { ...workout, sections: without(workout.sections, sectionPlace(workout, sectionId)) }
}

/** Moves a section up (−1) or down (1); at either end nothing changes. */
export function moveSection(workout: Workout, sectionId: string, by: -1 | 1): Workout {
  const at = sectionPlace(workout, sectionId)
  const to = at + by
  if (to < 0 || to >= workout.sections.length) return workout
  return { ...workout, sections: moved(workout.sections, at, to) }
}

/** Puts a copy of a section, with new ids, right after it. */
export function duplicateSection(workout: Workout, sectionId: string): Workout {
  const at = sectionPlace(workout, sectionId)
  const copy = fresh(workout, workout.sections[at]!)
  return withinLimits({ ...workout, sections: inserted(workout.sections, at + 1, copy) })
}

/** Changes what a section says of itself: title, role, keep, surprise, note. Undefined takes a field away. */
export function setSection(
  workout: Workout,
  sectionId: string,
  fields: Partial<Omit<Section, 'id' | 'blocks'>>,
): Workout {
  return changeSection(workout, sectionId, (section) => ({ ...section, ...fields }))
}
