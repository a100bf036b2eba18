import { arrange, canArrange } from '../arrange/arrange.ts'
import { checkSession } from '../checks/checkSession.ts'
import type { Finding } from '../checks/rule.ts'
import type { Library } from '../library/library.ts'
import { solvePicks } from '../pick/solvePicks.ts'
import type { PickProblem } from '../pick/pickProblem.ts'
import { reorderStations } from '../session/edits/stations.ts'
import { findBlock } from '../session/edits/locate.ts'
import { forms, stationsOf, type Form } from '../session/forms.ts'
import { newTalk } from '../forms/talk/schema.ts'
import type { Section, Workout } from '../session/schema.ts'
import { explainingSeconds } from '../timing/explaining.ts'
import { sessionSeconds } from '../timing/sessionSeconds.ts'
import type { Move } from '../terms/move.ts'
import { intents, roomOf, type DraftAsk, type DraftPart, type Intent } from './ask.ts'
import { coversOf, fitsAll } from '../suggest/candidates.ts'
import { buildDraft, type Parts } from './build.ts'
import { ending, isLate, movesIn, sizedDraft, weigh, type Sized } from './size.ts'
import { longestWorked } from '../checks/muscleWork.ts'
import { checkView } from '../checks/view.ts'
import { draftOf } from './formDrafts.ts'
import { luckOf } from './luck.ts'
import {
  coolDownProblem,
  forbiddenKey,
  isNewTo,
  leniences,
  mainProblem,
  warmUpProblem,
  workedBy,
  type Lenience,
  type PickContext,
} from './picks.ts'
import { buildsUp, comesBack, formsFor, plansFor, type Plan } from './plans.ts'

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
  workout: Workout
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
  /** Share of the work that is done, 0 to 1. */
  onProgress?: (share: number) => void
}

const mostTries = 3
/** So many of the best plans are tried before anything is left out. */
const mostPlans = 6

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
  const form = gameForms.find((f) => f !== plan.form && movesIn(picked, f).length >= draftOf(f)!.moves[0])
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
const arranged = (workout: Workout, library: Library, intent: Intent, { held }: DraftAsk): Workout => {
  const block = findBlock(workout, 'b2')
  if (!canArrange(block) || held?.[intent]?.some((r) => r.part === 'main')) return workout
  return reorderStations(workout, 'b2', arrange(workout, 'b2', library).order)
}

/** Which part a section of a draft is. */
const partOfSection: Readonly<Record<string, DraftPart>> = {
  p1: 'warmUp',
  p2: 'main',
  p3: 'main',
  p6: 'main',
  p4: 'coolDown',
}

/**
 * The part a row of a draft was picked for: then it can be kept while the rest is drafted again. Undefined for what follows from the
 * rest: what is taught, the game, the walk at the end, the breaths.
 */
export function pickedPart(section: string, move: Move): DraftPart | undefined {
  const part = section === 'p6' || section === 'p3' ? undefined : partOfSection[section]
  return part === 'coolDown' && !move.stretches ? undefined : part
}

/** The moves findings are about, by part: they are not picked again. */
function blamed(findings: readonly Finding[], workout: Workout, skill: Move): string[] {
  return findings.flatMap(({ where }) => {
    const part = where.section && partOfSection[where.section]
    const block = where.block && workout.sections.flatMap((s) => s.blocks).find((b) => b.id === where.block)
    const move = block ? stationsOf(block).find((s) => s.id === where.station)?.cells.all.move : undefined
    return part && move && move !== skill.id ? [forbiddenKey(part, move)] : []
  })
}

interface Attempt {
  parts: Parts
  picked: Picked
  sized: Sized
  findings: Finding[]
}

/** One plan, its moves picked, sized, arranged and looked at; what is found is not picked again, at most three times. */
function attempt(context: PickContext, options: DraftOptions): Attempt | undefined {
  const { ask, library, intent, plan } = context
  let best: Attempt | undefined
  let forbidden: ReadonlySet<string> = context.forbidden
  for (let n = 0; n < mostTries; n++) {
    const here = { ...context, forbidden }
    const first = pickParts(here, options.branches)
    if (!first) break
    const size = sizedDraft(partsOf(here, first))
    // Now that it is known how long each muscle works, the stretches are those of the longest.
    const again = pickParts(here, options.branches, { ...first, worked: workedIn(size.workout, library) }) ?? first
    const build = (of: Picked) => arranged(buildDraft(partsOf(here, of), size.sizing), library, intent, ask)
    // A stretch of each side takes longer: where the end comes too late for that, the first stay.
    const then = build(again)
    const took = sessionSeconds(then, library)
    const late =
      size.fits && (!ending({ ask }, took).fits || isLate({ ask, library }, { workout: then, seconds: took }))
    const picked = late ? first : again
    const parts = partsOf(here, picked)
    const workout = late ? build(first) : then
    const findings = checkSession(workout, library, { policies: ask.policies ?? {}, context: { known: ask.known } })
    const sized = { ...size, workout, seconds: sessionSeconds(workout, library) }
    if (!best || weigh(findings, size.fits) < weigh(best.findings, best.sized.fits))
      best = { parts, picked, sized, findings }
    const bad = blamed(findings, workout, plan.skill)
    if (!bad.length) break
    forbidden = new Set([...forbidden, ...bad])
  }
  return best
}

/** Muscles that work in a session outside its warm-up, the longest first, as its lanes are looked at. */
function workedIn(workout: Workout, library: Library): string[] {
  const asks = new Set(workout.sections.filter(({ role }) => !['warmUp', 'coolDown'].includes(role)).map((s) => s.id))
  return longestWorked(checkView(workout, library), ({ section }) => asks.has(section)).map(([id]) => id)
}

/**
 * A session of an intent: first form and skill, then the moves of each part, each exactly; then sized to about 88 % of the minutes,
 * arranged, looked at. Where nothing keeps to everything the smallest of what may be left is left, by name.
 *
 * @throws {RangeError} where nothing can be done in this home by everybody
 * @example draftFor('work', { aim: 'strength', minutes: 20, … }, library).relaxed // []
 */
export function draftFor(intent: Intent, ask: DraftAsk, library: Library, options: DraftOptions = {}): Draft {
  const plans = plansFor(intent, ask, library, options.besides)
  options.onProgress?.(0)
  let fallback: { made: Attempt; relaxed: Relaxation[] } | undefined
  for (let left = 0; left <= leniences.length; left++) {
    const lenient = new Set(leniences.slice(0, left))
    let tried = 0
    for (const plan of distinct(plans)) {
      if (tried === mostPlans) break
      const made = attempt({ intent, ask, library, plan, forbidden: new Set(), lenient }, options)
      if (!made) continue
      tried++
      options.onProgress?.(tried / (mostPlans + 1))
      const relaxed: Relaxation[] = [...lenient].slice(-1)
      if (made.sized.fits && made.findings.every((f) => f.level === 'note')) return finished(made, relaxed, true)
      const all: Relaxation[] = made.sized.fits ? relaxed : [...relaxed, 'minutes']
      if (options.quick) return finished(made, all)
      if (!fallback || weigh(made.findings, made.sized.fits) < weigh(fallback.made.findings, fallback.made.sized.fits))
        fallback = { made, relaxed: all }
    }
    // What is found and cannot be helped is shown; fewer conditions would not help it.
    if (fallback) break
  }
  if (!fallback) throw new RangeError(`draftFor: nothing for ${ask.aim} can be done by every group in this home`)
  return finished(fallback.made, fallback.relaxed)
}

/** The best plan of every skill, so that a second try is another skill. */
const distinct = (plans: readonly Plan[]): Plan[] => {
  const seen = new Set<string>()
  return plans.filter(({ skill, form }) => {
    const key = seen.size % 2 ? skill.id : `${skill.id} ${form}`
    return !seen.has(key) && seen.add(key)
  })
}

/** What a draft could not have in this home: something of the last two sessions, a game, a warm-up of what it works. */
function leftOut({ ask, game, main, warmUp, plan, library }: Parts): Relaxation[] {
  const moved = new Set([plan.skill, ...warmUp].flatMap(({ muscles }) => [...muscles.main, ...muscles.also]))
  const worked = main.flatMap(({ muscles }) => muscles.main)
  const back = main.some((move) => comesBack(move, plan.form, ask, library, buildsUp(move, plan)))
  return [
    ...(ask.recent.length && !back ? (['back'] as const) : []),
    ...(roomOf(ask).two && !game ? (['game'] as const) : []),
    ...(worked.length && !worked.some((id) => moved.has(id)) ? (['warm'] as const) : []),
  ]
}

function finished(
  { parts, picked, sized: { workout, seconds }, findings }: Attempt,
  relaxed: Relaxation[],
  settled = false,
): Draft {
  const { intent, ask, library, plan, main, game } = parts
  const arms = new Set(main.flatMap((m) => coversOf(m, library)))
  const one = arms.has('push') !== arms.has('pull')
  const fresh = [...main, ...parts.warmUp, ...parts.coolDown].filter((m) => isNewTo(m, ask))
  const blocks = workout.sections.flatMap((s) => s.blocks)
  const skillIn = (id: string) =>
    stationsOf(blocks.find((b) => b.id === id) ?? blocks[0]!).find((s) => s.cells.all.move === plan.skill.id)?.id ?? ''
  return {
    intent,
    workout,
    thread: {
      move: plan.skill.id,
      met: skillIn('b1'),
      taught: blocks.some((b) => b.id === 'b5') ? 'b5s1' : skillIn('b1'),
      builtUp: skillIn('b2'),
      used: game ? 'b6' : 'b2',
      asked: 'p4',
    },
    settled,
    proven: picked.proven,
    within: picked.score > 0 ? (picked.bound - picked.score) / picked.score : 0,
    relaxed: [...new Set([...relaxed, ...leftOut(parts)])],
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
export function withExplaining({ workout, explain }: Draft): Workout {
  if (!explain) return workout
  const at = workout.sections.findIndex((s) => s.role === 'main' || s.role === 'skill')
  const talk: Section = {
    id: 'p9',
    role: 'brief',
    title: 'What is new',
    blocks: [{ ...newTalk('b9'), seconds: { all: explain.seconds } }],
  }
  return { ...workout, sections: workout.sections.toSpliced(at, 0, talk) }
}
