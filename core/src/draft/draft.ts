import type { Finding } from '../checks/rule.ts'
import { newTalk } from '../forms/talk/schema.ts'
import type { Library } from '../library/library.ts'
import { stationsOf } from '../session/forms.ts'
import type { Section, Session } from '../session/schema.ts'
import { coversOf } from '../suggest/candidates.ts'
import { explainingSeconds } from '../timing/explaining.ts'
import { newsTitle } from '../words/ourPhrases.ts'
import { roomOf, type DraftAsk, type Intent } from './ask.ts'
import { attempt, type Attempt } from './attempt.ts'
import type { Parts } from './parts.ts'
import { isNewTo, leniences, type Lenience } from './picks.ts'
import { places } from './places.ts'
import { plansFor } from './plans.ts'
import { bringsBack } from './recent.ts'
import { weigh } from './size.ts'

/** What a draft had to leave, the smallest first. */
export type Relaxation = Lenience | 'minutes' | 'game' | 'warm'

/** One skill, where it is met, taught, built up, used and asked about: ids in the session. */
export interface Thread {
  move: string
  met: string
  taught: string
  builtUp: string
  used: string
  asked: string
}

export interface Draft {
  intent: Intent
  session: Session
  thread: Thread
  /** Nothing is left out and nobody has anything to look at: looking on would not make it better. */
  settled: boolean
  /** Every part was proven the best; else how much better the rest could be, as a share. */
  proven: boolean
  within: number
  relaxed: Relaxation[]
  findings: Finding[]
  /** Which arms come next time, where only one of them was worked. */
  armsNext?: 'push' | 'pull'
  /** What is new to the class, and the seconds to explain it: to be taken or dropped. */
  explain?: { moves: string[]; seconds: number }
  /** Typical seconds by group. */
  seconds: Record<string, number>
}

export interface DraftOptions {
  /** Skills that the drafts beside it have already. */
  besides?: readonly string[]
  /** The first that is found, for who does not want to wait: it may leave more than need be. */
  quick?: boolean
  /** Branches each part may look at; fewer for a first answer. */
  branches?: number
}

/** So many of the best plans are tried before anything is left out. */
const mostPlans = 6

/**
 * A session of an intent: first form and skill, then the moves of each part, each exactly; then sized to about 88 % of the minutes,
 * arranged, looked at. Where nothing keeps to everything the smallest of what may be left is left, by name.
 *
 * @returns undefined where nothing for the aim can be done in this home by everybody
 * @example draftFor('work', { aim: 'strength', minutes: 20, … }, library)?.relaxed // []
 */
export function draftFor(
  intent: Intent,
  ask: DraftAsk,
  library: Library,
  { besides, quick, branches }: DraftOptions = {},
): Draft | undefined {
  const plans = plansFor(intent, ask, library, besides)
  for (let left = 0; left <= leniences.length; left++) {
    const lenient = new Set(leniences.slice(0, left))
    const named: Relaxation[] = [...lenient].slice(-1)
    let best: { made: Attempt; relaxed: Relaxation[] } | undefined
    // The best plan of a skill that comes to a session stands for it: the next try is another skill.
    const tried = new Set<string>()
    for (const plan of plans) {
      if (tried.size === mostPlans) break
      if (tried.has(plan.skill.id)) continue
      const made = attempt({ intent, ask, library, plan, forbidden: new Set(), lenient }, branches)
      if (!made) continue
      tried.add(plan.skill.id)
      const { findings, sized } = made
      if (sized.fits && findings.every((f) => f.level === 'note')) return finished(made, named, true)
      const relaxed: Relaxation[] = sized.fits ? named : [...named, 'minutes']
      if (quick) return finished(made, relaxed)
      if (!best || weigh(findings, sized.fits) < weigh(best.made.findings, best.made.sized.fits))
        best = { made, relaxed }
    }
    // What is found and cannot be helped is shown; fewer conditions would not help it.
    if (best) return finished(best.made, best.relaxed)
  }
  return undefined
}

/** What a draft could not have in this home: something of the last two sessions, a game, a warm-up of what it works. */
function leftOut(parts: Parts, session: Session): Relaxation[] {
  const { ask, game, main, warmUp, plan } = parts
  const moved = new Set([plan.skill, ...warmUp].flatMap(({ muscles }) => [...muscles.main, ...muscles.also]))
  const worked = main.flatMap(({ muscles }) => muscles.main)
  return [
    ...(ask.recent.length && !bringsBack(session, ask, parts.library) ? (['back'] as const) : []),
    ...(roomOf(ask).two && !game ? (['game'] as const) : []),
    ...(worked.length && !worked.some((id) => moved.has(id)) ? (['warm'] as const) : []),
  ]
}

function finished(
  { parts, picked, sized: { session, seconds }, findings }: Attempt,
  relaxed: Relaxation[],
  settled = false,
): Draft {
  const { intent, ask, library, plan, main, game } = parts
  const arms = new Set(main.flatMap((m) => coversOf(m, library)))
  const one = arms.has('push') !== arms.has('pull')
  const fresh = [...main, ...parts.warmUp, ...parts.coolDown].filter((m) => isNewTo(m, ask))
  const blocks = session.sections.flatMap((s) => s.blocks)
  const skillIn = (id: string) =>
    stationsOf(blocks.find((b) => b.id === id) ?? blocks[0]!).find((s) => s.cells.all.move === plan.skill.id)?.id ?? ''
  return {
    intent,
    session,
    thread: {
      move: plan.skill.id,
      met: skillIn(places.warmUp.block),
      taught: blocks.some((b) => b.id === places.taught.block)
        ? `${places.taught.block}s1`
        : skillIn(places.warmUp.block),
      builtUp: skillIn(places.main.block),
      used: (game ? places.game : places.main).block,
      asked: places.coolDown.section,
    },
    settled,
    proven: picked.proven,
    within: picked.score > 0 ? (picked.bound - picked.score) / picked.score : 0,
    relaxed: [...new Set([...relaxed, ...leftOut(parts, session)])],
    findings,
    ...(one && { armsNext: arms.has('push') ? ('pull' as const) : ('push' as const) }),
    ...(fresh.length && {
      explain: {
        moves: fresh.map((m) => m.id),
        seconds: explainingSeconds(
          blocks,
          ask.groups,
          library,
          new Set([...library.moves.keys()].filter((id) => !fresh.some((m) => m.id === id))),
        ),
      },
    }),
    seconds,
  }
}

/**
 * A draft with the time to explain what is new, before its main part. Without anything new it is the draft.
 *
 * @example withExplaining(draft).sections[1].title // 'What is new'
 */
export function withExplaining({ session, explain }: Draft): Session {
  if (!explain) return session
  const at = session.sections.findIndex((s) => s.role === 'main' || s.role === 'skill')
  const talk: Section = {
    id: places.news.section,
    role: 'brief',
    title: newsTitle,
    blocks: [{ ...newTalk(places.news.block), seconds: { all: explain.seconds } }],
  }
  return { ...session, sections: session.sections.toSpliced(at, 0, talk) }
}
