import { arrange, canArrange } from '../arrange/arrange.ts'
import { longestInWork } from '../checks/muscleWork.ts'
import type { Finding } from '../checks/rule.ts'
import { checkView } from '../checks/view.ts'
import type { PickProblem } from '../pick/pickProblem.ts'
import { solvePicks } from '../pick/solvePicks.ts'
import { findBlock } from '../session/edits/locate.ts'
import { reorderStations } from '../session/edits/stations.ts'
import { forms, stationsOf, type Form } from '../session/forms.ts'
import type { Session } from '../session/schema.ts'
import { fitsAll } from '../suggest/candidates.ts'
import type { Move } from '../terms/move.ts'
import { sessionSeconds } from '../timing/sessionSeconds.ts'
import { intents, roomOf } from './ask.ts'
import { buildDraft } from './build.ts'
import { draftOf } from './formDrafts.ts'
import { luckOf } from './luck.ts'
import { heldRows, type Parts } from './parts.ts'
import {
  coolDownProblem,
  forbiddenKey,
  isNewTo,
  mainProblem,
  warmUpProblem,
  workedBy,
  type PickContext,
} from './picks.ts'
import { partOfSection, places } from './places.ts'
import { formsFor } from './plans.ts'
import { ending, isLate, movesIn, saidOf, sizedDraft, weigh, type Sized } from './size.ts'

const mostTries = 3

/** What was picked for each part, and how surely. */
interface Picked {
  main: Move[]
  warmUp: Move[]
  coolDown: Move[]
  score: number
  bound: number
  proven: boolean
}

/**
 * The moves of each part, each exactly.
 *
 * @param known what was picked already, with the muscles that turned out to work longest: then the stretches are picked again
 */
function pickParts(
  context: PickContext,
  branches: number | undefined,
  known?: Picked & { worked: string[] },
): Picked | undefined {
  const { library } = context
  const all = { score: 0, bound: 0, proven: true }
  const solve = (problem: PickProblem): Move[] | undefined => {
    const solution = solvePicks(problem, branches ? { branches } : {})
    if (!solution) return undefined
    all.score += solution.score
    all.bound += solution.bound
    all.proven &&= solution.proven
    return solution.ids.map((id) => library.moves.get(id)!)
  }
  const main = known?.main ?? solve(mainProblem(context))
  const warmUp = known?.warmUp ?? (main && solve(warmUpProblem(context, main)))
  const worked = known?.worked ?? (main ? workedBy(main, context.plan.skill).map(([id]) => id) : [])
  const coolDown = main && solve(coolDownProblem(context, main, worked))
  if (!main || !warmUp || !coolDown) return undefined
  // The skill first.
  const skillFirst = [...main].sort((a, b) => Number(b === context.plan.skill) - Number(a === context.plan.skill))
  return { main: skillFirst, warmUp, coolDown, ...all }
}

/** A game that is a move, where there is room for one more; else a form that is one, of the moves that are there. */
function gameOf({ intent, ask, library, plan }: PickContext, picked: Picked): Parts['game'] {
  const room = roomOf(ask)
  if (!room.game) return undefined
  const luck = luckOf(ask.seed, intent)
  const used = new Set([...picked.main, ...picked.warmUp, ...picked.coolDown]).size
  const games = [...library.moves.values()].filter(
    (m) =>
      m.family === 'game' &&
      m.measures.includes('seconds') &&
      !isNewTo(m, ask) &&
      !m.kit.some((need) => !need.optional) &&
      fitsAll(m, ask.groups, ask.home, library),
  )
  const move = used < room.moves && games.length ? { move: games[luck('which game', games.length)]! } : undefined
  const able = gameForms.filter((f) => f !== plan.form && movesIn(picked, f).length >= draftOf(f)!.moves[0])
  const form = able[luck('game form', Math.max(1, able.length))]
  const byForm = form && { form }
  return luck('game', 3) > 0 ? (move ?? byForm) : (byForm ?? move)
}
const gameForms: readonly Form[] = forms.filter((form) => draftOf(form)?.game)

/** The second main part is of another kind, of the moves that are there. */
function secondOf({ intent, ask, plan }: PickContext, picked: Picked, game: Parts['game']): Form | undefined {
  if (!roomOf(ask).two) return undefined
  const luck = luckOf(ask.seed, intent)
  const others = (whatever: boolean) =>
    forms.filter(
      (form) =>
        form !== plan.form &&
        !(game && 'form' in game && game.form === form) &&
        intents.some((i) => formsFor(i, ask, whatever).includes(form)) &&
        movesIn(picked, form).length >= draftOf(form)!.moves[0],
    )
  const right = others(false)
  const able = right.length ? right : others(true)
  return able[luck('second', Math.max(1, able.length))]
}

function partsOf(context: PickContext, picked: Picked): Parts {
  const { intent, ask, library, plan } = context
  const luck = luckOf(ask.seed, intent)
  const breaths = [...library.moves.values()].filter(
    (m) =>
      m.family === 'breathe' && fitsAll(m, ask.groups, ask.home, library) && (!isNewTo(m, ask) || m.id === 'breathe'),
  )
  const game = gameOf(context, picked)
  return {
    intent,
    ask,
    library,
    plan,
    main: picked.main,
    warmUp: picked.warmUp,
    coolDown: picked.coolDown,
    breath: breaths[luck('breath', breaths.length)]!,
    game,
    second: secondOf(context, picked, game),
  }
}

/** The stations of the main part in the order in which neighbours go best together. */
function arranged(session: Session, parts: Parts): Session {
  const { block } = places.main
  if (!canArrange(findBlock(session, block)) || heldRows(parts, 'main').size) return session
  return reorderStations(session, block, arrange(session, block, parts.library).order)
}

/** The moves findings are about, by part: they are not picked again. */
function blamed(findings: readonly Finding[], session: Session, skill: Move): string[] {
  return findings.flatMap(({ where }) => {
    const part = where.section && partOfSection(where.section)
    const block = where.block && session.sections.flatMap((s) => s.blocks).find((b) => b.id === where.block)
    const move = block ? stationsOf(block).find((s) => s.id === where.station)?.cells.all.move : undefined
    return part && move && move !== skill.id ? [forbiddenKey(part, move)] : []
  })
}

/** A plan as far as it came. */
export interface Attempt {
  parts: Parts
  picked: Picked
  sized: Sized
  findings: Finding[]
}

/** One plan, its moves picked, sized, arranged and looked at; what is found is not picked again, at most three times. */
export function attempt(context: PickContext, branches?: number): Attempt | undefined {
  const { plan } = context
  let best: Attempt | undefined
  let forbidden: ReadonlySet<string> = context.forbidden
  for (let n = 0; n < mostTries; n++) {
    const now = attemptOnce({ ...context, forbidden }, branches)
    if (!now) break
    if (!best || weigh(now.findings, now.sized.fits) < weigh(best.findings, best.sized.fits)) best = now
    const bad = blamed(now.findings, now.sized.session, plan.skill)
    if (!bad.length) break
    forbidden = new Set([...forbidden, ...bad])
  }
  return best
}

function attemptOnce(context: PickContext, branches: number | undefined): Attempt | undefined {
  const { library } = context
  const first = pickParts(context, branches)
  if (!first) return undefined
  const size = sizedDraft(partsOf(context, first))
  const made = (picked: Picked): Attempt => {
    const parts = partsOf(context, picked)
    const session = arranged(buildDraft(parts, size.sizing), parts)
    const seconds = sessionSeconds(session, library)
    const fits = size.fits && ending(parts, seconds).fits && !isLate(parts, { session, seconds })
    return { parts, picked, sized: { ...size, session, seconds, fits }, findings: saidOf(session, parts) }
  }
  // Now that it is known how long each muscle works, the stretches are those of the longest; where the end comes too late for that,
  // since one of them is held on each side, the first stay.
  const worked = longestInWork(checkView(size.session, library)).map(([id]) => id)
  const again = made(pickParts(context, branches, { ...first, worked }) ?? first)
  return again.sized.fits || !size.fits ? again : made(first)
}
