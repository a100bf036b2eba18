import { setDetails } from '../../session/edits/details.ts'
import type { FixMaker } from './fix.ts'

/** Removes the aim: the session is about what it holds. */
export const withoutAim: FixMaker = {
  id: 'without-aim',
  candidates: ({ view, finding }) => {
    const builds = view.session.aim.builds.filter((b) => b !== finding.facts.aim)
    return [{ facts: { aim: String(finding.facts.aim) }, session: setDetails(view.session, { aim: { builds } }) }]
  },
}
