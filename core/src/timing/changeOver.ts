import type { Performed } from '../moves/versionFor.ts'
import type { Library } from '../moves/library.ts'
import type { Posture } from '../moves/schema.ts'
import { defaultOf } from './defaults.ts'

const level: Record<Posture, 'up' | 'low' | 'floor'> = {
  standing: 'up',
  leaning: 'up',
  kneeling: 'low',
  handsAndFeet: 'low',
  seated: 'floor',
  lyingFront: 'floor',
  lyingBack: 'floor',
}

/** Whether a posture is lower than standing: kneeling, on hands and feet, sitting, lying. */
export const isDown = (posture: Posture): boolean => level[posture] !== 'up'

/**
 * Seconds to get from one posture into another, before pace.
 *
 * @example postureSeconds('standing', 'lyingBack') // 4
 * @example postureSeconds('leaning', 'standing') // 1
 */
export function postureSeconds(from: Posture, to: Posture): number {
  if (from === to) return defaultOf('changeSame')
  const levels = [level[from], level[to]]
  if (levels.includes('floor')) return defaultOf('changeFloor')
  return defaultOf(levels.includes('low') ? 'changeKneel' : 'changeSame')
}

/** Where a child is between moves: the posture, the things in the hands, and whether anything was done yet. */
export interface Stance {
  posture: Posture
  held: readonly string[]
  begun: boolean
}

/** A session starts standing, with empty hands. */
export const startStance: Stance = { posture: 'standing', held: [], begun: false }

const nothing: readonly string[] = []

/** The things a move is done with that are taken up and put down; a load counts as one. */
export function heldThings(what: Performed, load: boolean, library: Pick<Library, 'kit'>): readonly string[] {
  if (what.kit.length === 0 && !load) return nothing
  const things = what.kit.filter((k) => !k.optional && library.kit.get(k.id)?.held).map((k) => k.id)
  return load ? [...things, 'load'] : things
}

/** The stance a move is done in. */
export const stanceFor = (what: Performed, load: boolean, library: Pick<Library, 'kit'>): Stance => ({
  posture: what.posture,
  held: heldThings(what, load, library),
  begun: true,
})

/**
 * Seconds to change over from one move to the next, before pace: posture, and 3 s for each thing put down or
 * taken up. The first move of a session costs nothing when it is done standing with empty hands.
 */
export function changeSeconds(from: Stance, to: Stance): number {
  const things =
    from.held.filter((k) => !to.held.includes(k)).length + to.held.filter((k) => !from.held.includes(k)).length
  const posture = from.begun || from.posture !== to.posture ? postureSeconds(from.posture, to.posture) : 0
  return posture + things * defaultOf('changeThing')
}
