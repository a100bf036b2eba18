import { limits } from '../../base/limits.ts'
import { partOf } from '../part.ts'
import type { Role, Section, Session } from '../schema.ts'
import { withinLimits } from './locate.ts'
import { pastePart } from './pastePart.ts'

/** When two sessions are joined, one warm-up and one cool-down are enough: those of the first. */
const onceOnly: ReadonlySet<Role> = new Set(['brief', 'warmUp', 'coolDown'])

/**
 * Joins two sessions into a longer one: the other's skill, main, game, challenge and test sections follow this one's own, before the
 * cool-down; its vocabulary and its minutes are added. Each group gets the values of the most similar group.
 *
 * @param whole also include the other's brief, warm-up and cool-down
 * @throws {ProblemError} `too-many` above the limits
 */
export function joinSessions(session: Session, other: Session, whole = false): Session {
  const taken = other.sections.filter((s) => whole || !onceOnly.has(s.role))
  let joined = session
  let after = anchorOf(joined.sections)
  for (const section of taken) {
    const before = new Set(joined.sections.map((s) => s.id))
    joined = after ? pastePart(joined, partOf(other, section), { section: after }) : withFirst(joined, other, section)
    after = joined.sections.find((s) => !before.has(s.id))!.id
  }
  const known = new Set(joined.aim.words.map((w) => w.word))
  return withinLimits({
    ...joined,
    minutes: Math.min(120, session.minutes + other.minutes),
    libraryVersion: Math.max(session.libraryVersion, other.libraryVersion),
    aim: {
      ...joined.aim,
      builds: [...new Set([...joined.aim.builds, ...other.aim.builds])],
      words: [...joined.aim.words, ...other.aim.words.filter((w) => !known.has(w.word))].slice(0, limits.words),
    },
    home: {
      ...joined.home,
      kit: [...new Set([...joined.home.kit, ...other.home.kit])],
      standIns: { ...other.home.standIns, ...joined.home.standIns },
      quiet: joined.home.quiet || other.home.quiet,
    },
  })
}

/** The section after which the other's sections go: the last before the final cool-down. */
function anchorOf(sections: readonly Section[]): string | undefined {
  const last = sections.findLastIndex((s) => s.role !== 'coolDown')
  return sections[last]?.id
}

function withFirst(session: Session, other: Session, section: Section): Session {
  const rest = session.sections
  const placeholder: Section = { id: 'p0', role: 'main', title: '', blocks: [] }
  const pasted = pastePart({ ...session, sections: [placeholder, ...rest] }, partOf(other, section), { section: 'p0' })
  return { ...pasted, sections: pasted.sections.filter((s) => s.id !== 'p0') }
}
