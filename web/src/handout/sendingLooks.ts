import { ProblemError, stationsOf, type Library, type Problem, type RulePolicies, type Session } from '@esfuerzo/core'
import { checkSession, type Finding } from '@esfuerzo/core/checks'
import { publish } from '@esfuerzo/core/publication'

/** A finding to review before sending. */
export type SendingLook = { code: 'check'; finding: Finding } | { code: 'noResult' } | { code: 'noTarget' }

/**
 * Open findings before sending, the most serious first: neither ignored nor switched off by the school. A finding of weight *fix* must be
 * fixed or ignored with a reason; no other one blocks sending.
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

/** Whether a finding blocks sending until it is fixed or ignored. */
export const isStopped = (look: SendingLook): boolean => look.code === 'check' && look.finding.level === 'stop'
