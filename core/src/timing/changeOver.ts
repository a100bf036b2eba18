import type { Performed } from '../library/versionFor.ts'
import type { Library } from '../library/library.ts'
import type { Posture } from '../terms/move.ts'
import { countedSpan } from './countedWork.ts'
import { defaultOf } from './defaults.ts'
import { fraction, minus, type Fraction } from './exact.ts'
import type { Span } from './span.ts'

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

/** A child's state between exercises: the posture, the things in the hands, and whether anything was done yet. */
export interface Stance {
  posture: Posture
  held: readonly string[]
  begun: boolean
}

/** A session starts standing, with empty hands. */
export const startStance: Stance = { posture: 'standing', held: [], begun: false }

const nothing: readonly string[] = []

/**
 * The things an exercise uses that are picked up and put down. A thing held as extra weight is the load: a bottle that is pressed is picked
 * up once, whatever its weight; a squat's weight is one thing more.
 */
export function heldThings(what: Performed, load: boolean, library: Pick<Library, 'kit'>): readonly string[] {
  if (what.kit.length === 0 && !load) return nothing
  const things = what.kit.filter((k) => !k.optional && library.kit.get(k.id)?.held).map((k) => k.id)
  return load && !(what.move.loadable && things.length) ? [...things, 'load'] : things
}

/** The posture and things of an exercise. */
export const stanceFor = (what: Performed, load: boolean, library: Pick<Library, 'kit'>): Stance => ({
  posture: what.posture,
  held: heldThings(what, load, library),
  begun: true,
})

/**
 * Seconds to change over from one exercise to the next, before pace: posture, and 3 s for each thing put down or picked up. The first
 * exercise of a session costs nothing if it is done standing with empty hands.
 */
export function changeSeconds(from: Stance, to: Stance): number {
  const things =
    from.held.filter((k) => !to.held.includes(k)).length + to.held.filter((k) => !from.held.includes(k)).length
  const posture = from.begun || from.posture !== to.posture ? postureSeconds(from.posture, to.posture) : 0
  return posture + things * defaultOf('changeThing')
}

/** Seconds to stand up before walking to another station, before pace; a standing child walks off at once. */
export const standUpSeconds = (from: Stance): number =>
  from.posture === 'standing' ? 0 : postureSeconds(from.posture, 'standing')

/**
 * Seconds of getting into position for a quick, a usual and a slow child: × pace, minus what a rest before it covered.
 *
 * @param seconds before pace
 * @param rested seconds of rest or talk just before
 * @param fade how much longer a later round takes
 * @example changeSpan(4, 1.25) // { low: 4, typical: 5, high: 7 }
 */
export function changeSpan(seconds: number, pace: number, rested = 0, fade: readonly Fraction[] = []): Span {
  const { n, d } = fraction(pace)
  return countedSpan(minus({ n: seconds * n, d }, rested), ...fade)
}
