import type { Library } from '../library/library.ts'
import { forms, type Form } from '../session/forms.ts'
import type { Builds } from '../terms/builds.ts'
import type { Move } from '../terms/move.ts'
import { roomOf, type DraftAsk, type Intent } from './ask.ts'
import { beginsCalm, doesFor, fitsAll, isMain } from '../suggest/candidates.ts'
import { draftOf } from './formDrafts.ts'
import { luckOf } from './luck.ts'
import { clockBefore, doneBefore, oneStepOn, recentForms, workedIn } from './recent.ts'
import { rowCells, stepsAt } from './rows.ts'

/** What is settled first: the form, and the skill that runs through. */
export interface Plan {
  form: Form
  skill: Move
  score: number
}

/**
 * Whether a move's row is one step on from what was done of it, in at least one lane.
 *
 * @param built whether it is the skill that is built up over laps: then its last version counts
 */
export function stepsOn(move: Move, form: Form, ask: DraftAsk, library: Library, built: boolean): boolean {
  if (!ask.groups.some((group) => doneBefore(move.id, group, ask))) return false
  const station = { id: 's', cells: rowCells(move, form, ask, library) }
  const place = (id: string | undefined) => move.versions.findIndex((v) => v.id === id)
  return ask.groups.some((group) => {
    if (!built) return oneStepOn(station, group, form, ask, library) !== undefined
    const before = doneBefore(move.id, group, ask)
    const { usual, harder } = stepsAt(move, group, ask, library)
    return before !== undefined && place((harder ?? usual).id) > place(before.cell.version)
  })
}

/** Whether a move can come back one step on: by its row, or by a longer clock, which its block's size has to see to. */
export const comesBack = (move: Move, form: Form, ask: DraftAsk, library: Library, built: boolean): boolean =>
  ask.recent.length > 0 &&
  (stepsOn(move, form, ask, library, built) ||
    ask.groups.some((group) => clockBefore(move.id, group, form, ask) !== undefined))

/** Whether the skill of a plan is built up over laps. */
export const buildsUp = (move: Move, { form, skill }: Pick<Plan, 'form' | 'skill'>): boolean =>
  move.id === skill.id && draftOf(form)?.laps === true

/** Aims that ask for more moving than resting. */
const movingAims: readonly Builds[] = ['endurance', 'coordination', 'agility', 'speed']

/**
 * Forms a draft of an intent may have as its main part in this home.
 *
 * @param whatever also those that are short for the minutes, or rest much for the aim
 */
export function formsFor(
  intent: Intent,
  { home, minutes, groups, aim }: Pick<DraftAsk, 'home' | 'minutes' | 'groups' | 'aim'>,
  whatever = false,
): Form[] {
  const room = roomOf({ minutes, groups })
  const part = room.two ? minutes / 2 : minutes
  const able = forms.filter((form) => {
    const draft = draftOf(form)
    return draft?.intents.includes(intent) && (!draft.together || home.company === 'together')
  })
  const right = able.filter((form) => {
    const { upTo: [young, others] = [Infinity, Infinity], rests } = draftOf(form)!
    return part <= (room.band === 0 ? young : others) && !(rests && movingAims.includes(aim))
  })
  return whatever ? able : right
}

/** Moves that may be in a main part of a form for everybody in this home. */
export const mainMoves = (form: Form, ask: DraftAsk, library: Library): Move[] => {
  const takes = draftOf(form)?.takes ?? (() => true)
  return [...library.moves.values()].filter(
    (move) => isMain(move, ask.aim) && takes(move) && fitsAll(move, ask.groups, ask.home, library),
  )
}

/** How many ways a skill is built up, at most over all lanes: the versions a lane is ready for. */
const steps = (move: Move, ask: DraftAsk, library: Library): number =>
  Math.max(
    ...ask.groups.map((group) => {
      const { easier, harder } = stepsAt(move, group, ask, library)
      return Number(easier !== undefined) + Number(harder !== undefined)
    }),
  )

/**
 * Every form with every skill, what they are worth together, the best first: which form was not done lately, which skill serves the aim,
 * has steps to be built up in, comes back or is new. Small, so all are looked at.
 *
 * @param besides skills the drafts beside it have already
 */
export function plansFor(intent: Intent, ask: DraftAsk, library: Library, besides: readonly string[] = []): Plan[] {
  const luck = luckOf(ask.seed, intent)
  const room = roomOf(ask)
  const { band, fresh } = room
  const lately = recentForms(ask)
  const last = ask.recent.at(-1)
  const lastMoves = last ? workedIn(last) : new Set<string>()
  const held = new Set((ask.held?.[intent] ?? []).map(({ station }) => station.cells.all.move))
  const plansOf = (form: Form): Plan[] => {
    const ofForm = (lately.has(form) ? 0 : 20) + luck(`form ${form}`, 40)
    return mainMoves(form, ask, library).flatMap((skill): Plan[] => {
      if (!doesFor(skill, ask.aim) || (skill.family === 'stretch' && steps(skill, ask, library) === 0)) return []
      const isNew = ask.known.size > 0 && !ask.known.has(skill.id)
      if (isNew && fresh === 0) return []
      const score =
        ofForm +
        8 * steps(skill, ask, library) +
        (comesBack(skill, form, ask, library, buildsUp(skill, { form, skill }))
          ? // Where there is room for few, it is the skill that comes back.
            room.main > 3
            ? 8
            : 24
          : lastMoves.has(skill.id)
            ? -20
            : 0) +
        (isNew ? (intent === 'learn' ? 5 : -15) : 0) -
        6 * skill.kit.filter((need) => !need.optional).length -
        // The youngest build up what they know from every day.
        (band === 0 && skill.versions[0]!.fromGrade > 0 ? 10 : 0) +
        (held.has(skill.id) ? 30 : 0) -
        (besides.includes(skill.id) ? 60 : 0) +
        // What is met in the warm-up is met calmly.
        (beginsCalm(skill, ask, library) ? 0 : -40) +
        luck(`skill ${skill.id}`, 40)
      return [{ form, skill, score }]
    })
  }
  const right = formsFor(intent, ask).flatMap(plansOf)
  // Where no form is right for such minutes, one that is a little short will do.
  const plans = right.length ? right : formsFor(intent, ask, true).flatMap(plansOf)
  return plans.sort((a, b) => b.score - a.score)
}
