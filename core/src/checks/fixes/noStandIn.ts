import { setDetails } from '../../session/edits/details.ts'
import type { FixMaker } from './fix.ts'

/** Nothing replaces the equipment any more. */
export const noStandIn: FixMaker = {
  id: 'no-stand-in',
  *candidates({ view, finding }) {
    const { standIns } = view.session.home
    const about = [finding.facts.standIn, finding.facts.words]
    for (const [kit, words] of Object.entries(standIns)) {
      if (!about.includes(words)) continue
      const { [kit]: _, ...others } = standIns
      yield { facts: { standIn: words }, session: setDetails(view.session, { home: { standIns: others } }) }
    }
  },
}
