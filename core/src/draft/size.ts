import { checkSession } from '../checks/checkSession.ts'
import { bandOf } from '../checks/limits.ts'
import type { Finding } from '../checks/rule.ts'
import { simulate } from '../chance/simulate.ts'
import type { Block, Form } from '../session/forms.ts'
import type { Session } from '../session/schema.ts'
import type { Move } from '../terms/move.ts'
import { sessionSeconds } from '../timing/sessionSeconds.ts'
import { roomOf } from './ask.ts'
import { blocksAlone, warmUpBlock } from './aroundMain.ts'
import { buildDraft, gameBlock } from './build.ts'
import { placeOf } from './mainPart.ts'
import type { Parts, Sizing } from './parts.ts'
import { places } from './places.ts'
import { buildsUp, stepsOn } from './plans.ts'
import { hasLongerClock, longerWarmUp } from './recent.ts'
import { draftOf } from './formDrafts.ts'

/** A draft at one size. */
export interface Sized {
  session: Session
  sizing: Sizing
  /** Typical seconds by group. */
  seconds: Record<string, number>
  /** Whether it ends where it should, for nearly everybody. */
  fits: boolean
}

/** Of the minutes: where a session is aimed at, and between what it may end. Trade's. */
const [aimedAt, least, most] = [0.88, 0.75, 0.92]
/** Four children of five end in time; a little more is asked, since so few are simulated. */
const [inTime, children] = [0.86, 400]
/** A lane that ends by then is in time for nearly everybody, however its children differ. */
const surely = 0.75
/** So many sizes are looked at exactly, and so many of those that fit are judged. */
const [mostMeasured, mostJudged] = [12, 3]
/** Seconds by which a session is shortened at least where it is too long for too many. */
const lateStep = 10

/** How much is said to a session: a stop weighs more than any looks, a look more than any notes, an end out of place between. */
export const weigh = (findings: readonly Finding[], fits: boolean): number =>
  findings.reduce((sum, { level }) => sum + { stop: 100, look: 10, note: 1 }[level], fits ? 0 : 50)

/** What a colleague would say to a draft. */
export const saidOf = (session: Session, { ask, library }: Pick<Parts, 'ask' | 'library'>): Finding[] =>
  checkSession(session, library, { policies: ask.policies ?? {}, context: { known: ask.known } })

/** How far from where it should end a session is, and whether it is all right. */
export function ending({ ask }: Pick<Parts, 'ask'>, seconds: Record<string, number>): { off: number; fits: boolean } {
  const budget = ask.minutes * 60
  const shares = ask.groups.map((g) => ({ young: bandOf(g.grades) === 0, share: seconds[g.id]! / budget }))
  const longest = Math.max(...shares.map((s) => s.share))
  const held = roomOf(ask).youngEarlier ? shares.filter((s) => !s.young) : shares
  const low = held.reduce((sum, { share }) => sum + Math.max(0, least - share), 0)
  const off = Math.abs(longest - aimedAt) + 3 * low + (longest > most ? 10 : 0)
  return { off, fits: longest <= most && low === 0 }
}

/** The moves of the main part a form takes; where they are too few what raised the pulse is done again. */
export function movesIn({ main, warmUp }: Pick<Parts, 'main' | 'warmUp'>, form: Form): Move[] {
  const { takes = () => true, moves } = draftOf(form)!
  const own = main.filter(takes)
  return own.length >= moves[0] ? own : [...own, ...warmUp.filter(takes)]
}

const stepsByRow = ({ main, plan, ask, library }: Parts): boolean =>
  main.some((move) => stepsOn(move, plan.form, ask, library, buildsUp(move, plan)))
const stepsInWarmUp = ({ warmUp, ask, library }: Parts): boolean =>
  warmUp.some((move) => ask.groups.some((g) => longerWarmUp(move, g, ask, library) !== undefined))
const isLonger = (block: Block, { main, ask }: Parts): boolean =>
  main.some((move) => hasLongerClock(move.id, block, ask))

/** The sizes of each block of a draft. */
function sizesOf(parts: Parts): { mains: Block[]; games: (Block | undefined)[]; seconds: (Block | undefined)[] } {
  const ofForm = (id: string, form: Form): Block[] => {
    const draft = draftOf(form)!
    const fitting = movesIn(parts, form)
    return draft.sizes(placeOf(parts, id, form, fitting.slice(0, draft.moves[1])))
  }
  const { game, second, plan } = parts
  const ofGame = (asked: { form: Form } | { move: Move }) =>
    'move' in asked
      ? [60, 80, 100, 120, 150].map((n) => gameBlock(parts, asked.move, n))
      : ofForm(places.game.block, asked.form).slice(0, 7)
  const mains = ofForm(places.main.block, plan.form)
  const longer =
    parts.ask.recent.length && !stepsByRow(parts) && !stepsInWarmUp(parts)
      ? mains.filter((b) => isLonger(b, parts))
      : []
  return {
    // Where only a longer clock is a step on from last time, it is a longer one.
    mains: longer.length ? longer : mains,
    games: game ? ofGame(game) : [undefined],
    seconds: second ? ofForm(places.second.block, second) : [undefined],
  }
}

/** Every size of the draft, that which ends nearest to where it should first. Blocks are timed alone and added up. */
function nearest(parts: Parts): { sizing: Sizing; seconds: Record<string, number> }[] {
  const { ask, library } = parts
  const { mains, games, seconds } = sizesOf(parts)
  const alone = new Map<Block, Record<string, number>>()
  // After the warm-up, as it will be: where a child comes from is part of a game's time.
  const warmUp = warmUpBlock(parts)
  const before = sessionSeconds(blocksAlone([warmUp], ask, library), library)
  const timed = (block: Block) => {
    const known = alone.get(block)
    if (known) return known
    const after = sessionSeconds(blocksAlone([warmUp, block], ask, library), library)
    const own = Object.fromEntries(ask.groups.map(({ id }) => [id, after[id]! - before[id]!]))
    alone.set(block, own)
    return own
  }
  const sum = (blocks: readonly (Block | undefined)[], id: string) =>
    blocks.reduce((total, block) => total + (block ? timed(block)[id]! : 0), 0)
  const first: Sizing = { main: mains[0]!, game: games[0], second: seconds[0] }
  const whole = sessionSeconds(buildDraft(parts, first), library)
  const rest = ask.groups.map(({ id }) => [id, whole[id]! - sum([first.main, first.game, first.second], id)] as const)
  const options = mains.flatMap((main) =>
    games.flatMap((game) =>
      seconds.map((second) => {
        const all = Object.fromEntries(rest.map(([id, n]) => [id, n + sum([main, game, second], id)]))
        // Two main parts are about as long as each other.
        const apart = second
          ? Math.max(...ask.groups.map(({ id }) => Math.abs(timed(main)[id]! - timed(second)[id]!)))
          : 0
        return {
          sizing: { main, game, second },
          seconds: all,
          off: ending(parts, all).off + (0.2 * apart) / (ask.minutes * 60),
        }
      }),
    ),
  )
  return options.sort((a, b) => a.off - b.off)
}

/** Whether some lane ends too late for too many. */
export function isLate(
  { ask, library }: Pick<Parts, 'ask' | 'library'>,
  { session, seconds }: Pick<Sized, 'session' | 'seconds'>,
): boolean {
  const budget = ask.minutes * 60
  return ask.groups
    .filter(({ id }) => seconds[id]! > surely * budget)
    .some((group) => {
      const ends = simulate(session, group, library, { children, seed: 1 })
      return ends.filter((s) => s <= budget).length < inTime * ends.length
    })
}

/**
 * The draft at the size at which it ends where it is aimed at, four children of five in time; of the nearest three that of which least is
 * said.
 */
export function sizedDraft(parts: Parts): Sized {
  const { library } = parts
  const judged: { sized: Sized; said: number }[] = []
  let first: Sized | undefined
  let tooLong = Infinity
  let looked = 0
  const longest = (seconds: Record<string, number>) => Math.max(...Object.values(seconds))
  for (const { sizing, seconds: about } of nearest(parts)) {
    // What is as long as one that ends too late for too many does too.
    if (longest(about) >= tooLong || looked++ === mostMeasured) continue
    const session = buildDraft(parts, sizing)
    const seconds = sessionSeconds(session, library)
    const one: Sized = { session, sizing, seconds, fits: ending(parts, seconds).fits }
    first ??= one
    if (!one.fits) continue
    if (isLate(parts, one)) {
      tooLong = Math.min(tooLong, longest(about) - lateStep)
      continue
    }
    const said = weigh(saidOf(session, parts), true)
    judged.push({ sized: one, said })
    if (said === 0 || judged.length === mostJudged) break
  }
  const found = judged.sort((a, b) => a.said - b.said)[0]?.sized
  return found ?? { ...first!, fits: false }
}
