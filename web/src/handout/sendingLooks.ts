import { ProblemError, stationsOf, type Library, type Problem, type RulePolicies, type Session } from '@esfuerzo/core'
import { checkSession, type Finding } from '@esfuerzo/core/checks'
import { publish } from '@esfuerzo/core/publication'

/** A finding to review before sending. */
export type SendingLook = { code: 'check'; finding: Finding } | { code: 'noResult' } | { code: 'noTarget' }

/**
 * What still deserves a look before sending, the gravest first: neither answered nor switched off by the school. What is not to be
 * sent so has to be mended or answered; nothing else stops anybody.
 */
export function sendingLooks(session: Session, library: Library, policies: RulePolicies = {}): SendingLook[] {
  const looks: SendingLook[] = checkSession(session, library, { policies })
    .filter(({ level, answered }) => level !== 'note' && answered === undefined)
    .map((finding) => ({ code: 'check', finding }))
  const stations = session.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))
  if (!session.aim.target) looks.push({ code: 'noTarget' })
  if (!stations.some((s) => s.record)) looks.push({ code: 'noResult' })
  return looks
}

/** What prevents sending: an empty session, too many steps or too many bytes. */
export function sendingProblems(session: Session, library: Library): Problem[] {
  try {
    publish(session, library)
    return []
  } catch (error) {
    if (error instanceof ProblemError) return error.problems
    throw error
  }
}

/** Whether something holds a session back until it is mended or answered. */
export const isStopped = (look: SendingLook): boolean => look.code === 'check' && look.finding.level === 'stop'
