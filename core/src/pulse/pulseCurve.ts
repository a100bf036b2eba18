import type { Library } from '../library/library.ts'
import { performedBy } from '../library/versionFor.ts'
import { moderateMet, vigorousMet } from '../terms/effort.ts'
import type { Group } from '../terms/group.ts'
import type { Step } from '../timing/step.ts'
import { workMet } from './workMet.ts'

/** How hard a child's heart works at a moment, measured in the child's own resting METs. */
export const pulseZones = ['light', 'moderate', 'vigorous'] as const
export type PulseZone = (typeof pulseZones)[number]

/** A lane's predicted pulse. It describes the session, not any child. */
export interface PulseCurve {
  /** Every few seconds: seconds from the start and beats per minute. */
  points: { at: number; beats: number }[]
  rest: number
  top: number
  /** Where moderate and vigorous begin, in beats per minute. */
  from: { moderate: number; vigorous: number }
  /** Minutes in each zone. */
  minutes: Record<PulseZone, number>
}

/** Median resting pulses by age. Source: Fleming et al. 2011, Lancet 377:1011 (from memory). */
const restByAge: readonly [below: number, beats: number][] = [
  [6, 98],
  [8, 91],
  [Infinity, 84],
]
/**
 * A child's maximum, in its own resting METs, by age: 45 to 48 ml/kg/min divided by a resting value of 6 to 5.5, which falls with growth.
 * Sources: Butte et al. 2018, Med Sci Sports Exerc 50:246; Armstrong and Welsman 1994, Exerc Sport Sci Rev 22:435; from memory.
 */
const peakByAge: readonly [below: number, mets: number][] = [
  [8, 7.5],
  [10, 8],
  [Infinity, 8.5],
]
/** Seconds in which a pulse covers two thirds of the way to the level of the work, rising and falling; ours. */
const [up, down] = [25, 45]
/** METs of standing still, of getting into position, and of work that is not a move of the library; ours. */
const still = 1.3
const moving = 2
const unknown = 3
/** One point every this many seconds. */
const every = 5

/** Children spread at least this many beats to both sides of the curve; ours. */
export const pulseBand = 15

/** @example restingPulse(7) // 91 */
export const restingPulse = (age: number): number => restByAge.find(([below]) => age < below)![1]

/**
 * The maximum pulse of an age. Source: Tanaka et al. 2001, J Am Coll Cardiol 37:153 (adults); checked in boys of 10 to 16 by Machado &
 * Denadai 2011; extrapolated below that.
 *
 * @example topPulse(10) // 201
 */
export const topPulse = (age: number): number => 208 - 0.7 * age

/** @example peakMets(9) // 8 */
export const peakMets = (age: number): number => peakByAge.find(([below]) => age < below)![1]

/** The age that represents a group: the middle of its ages. */
const ageOf = ({ ages: [from, to] }: Pick<Group, 'ages'>): number => (from + to) / 2

function metOf(step: Step, library: Library): number {
  if (step.kind === 'rest' || step.kind === 'talk' || step.kind === 'measure') return still
  if (step.kind !== 'work') return moving
  if (!step.move || !step.version) return unknown
  return workMet(performedBy({ move: step.move, version: step.version }, library))
}

/** A period in which a pulse approaches a level. */
interface Drawn {
  from: number
  to: number
  /** Seconds for two thirds of the way. */
  within: number
  seconds: number
}

const beatsAfter = ({ from, to, within }: Drawn, seconds: number): number =>
  to + (from - to) * Math.exp(-seconds / within)

/** How long a pulse is at a level or above: it crosses it at most once, because it moves in one direction. */
function secondsAbove(drawn: Drawn, beats: number): number {
  const { from, to, within, seconds } = drawn
  const [starts, ends] = [from >= beats, beatsAfter(drawn, seconds) >= beats]
  if (starts === ends) return starts ? seconds : 0
  const crossing = within * Math.log((from - to) / (beats - to))
  return starts ? crossing : seconds - crossing
}

/**
 * A lane's predicted pulse: each step moves it toward its own level, quickly up and slowly down.
 *
 * @param steps of the lane, each with its start from the beginning
 */
export function pulseCurve(steps: readonly Step[], group: Pick<Group, 'ages'>, library: Library): PulseCurve {
  const age = ageOf(group)
  const [rest, top] = [restingPulse(age), topPulse(age)]
  const peak = peakMets(age)
  /** The pulse at a number of METs, between resting at one and the maximum at the most the child can do. */
  const beatsAt = (met: number) => rest + (top - rest) * Math.min(1, Math.max(0, (met - 1) / (peak - 1)))
  const from = { moderate: beatsAt(moderateMet), vigorous: beatsAt(vigorousMet) }
  const minutes: PulseCurve['minutes'] = { light: 0, moderate: 0, vigorous: 0 }
  const points: PulseCurve['points'] = [{ at: 0, beats: rest }]
  let beats = rest
  let at = 0
  for (const step of steps) {
    const target = beatsAt(metOf(step, library))
    const whole = step.seconds.typical
    const drawn: Drawn = { from: beats, to: target, within: target > beats ? up : down, seconds: whole }
    const [moderate, vigorous] = [secondsAbove(drawn, from.moderate), secondsAbove(drawn, from.vigorous)]
    minutes.light += (whole - moderate) / 60
    minutes.moderate += (moderate - vigorous) / 60
    minutes.vigorous += vigorous / 60
    for (
      let done = Math.min(1, whole);
      done <= whole && whole > 0;
      done = done === whole ? Infinity : Math.min(whole, done + 1)
    ) {
      beats = beatsAfter(drawn, done)
      if (at + done - points.at(-1)!.at >= every) points.push({ at: at + done, beats })
    }
    at += whole
  }
  if (points.at(-1)!.at < at) points.push({ at, beats })
  return { points, rest, top, from, minutes }
}
