import { setBlockWords } from '../../session/edits/blocks.ts'
import { setDetails } from '../../session/edits/details.ts'
import { changeBlock } from '../../session/edits/locate.ts'
import { setSection } from '../../session/edits/sections.ts'
import { setStation } from '../../session/edits/stations.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Session } from '../../session/schema.ts'
import { rules } from '../registry.ts'
import type { Rule } from '../rule.ts'
import { saidSo, withoutSaid, type Said } from '../said.ts'
import type { WordRule } from '../wordRule.ts'
import type { Candidate, FixMaker } from './fix.ts'

const hasPattern = (rule: Rule): rule is WordRule => 'pattern' in rule

/** The session with other words in some place; undefined if nothing else may be there. */
function rewritten(session: Session, { where, field, at }: Said, text: string): Session | undefined {
  const { section, block, station } = where
  const words = text || undefined
  if (station) return setStation(session, station, { [field]: words })
  if (block && ['title', 'note'].includes(field)) return setBlockWords(session, block, { [field]: words })
  if (block) return changeBlock(session, block, (b) => traitsOf(b).reworded?.(b, field, text, at) ?? b)
  if (section) return setSection(session, section, { [field]: field === 'title' ? text : words })
  if (field === 'target') return setDetails(session, { aim: { target: text } })
  return field === 'title' && text ? setDetails(session, { title: text }) : undefined
}

/** Removes the sentence. */
export const withoutWords: FixMaker = {
  id: 'without-words',
  *candidates({ view, finding }): Generator<Candidate> {
    const rule = (rules as readonly Rule[]).find((r) => r.id === finding.rule)
    if (!rule || !hasPattern(rule)) return
    const { pattern } = rule
    const same = (said: Said) =>
      said.where.section === finding.where.section &&
      said.where.block === finding.where.block &&
      said.where.station === finding.where.station &&
      saidSo(said.text, pattern) !== undefined
    let session: Session | undefined = view.session
    for (const said of view.said.filter(same).reverse()) {
      session = session && rewritten(session, said, withoutSaid(said.text, pattern))
      if (session) yield { facts: { words: String(finding.facts.words) }, session }
    }
  },
}
