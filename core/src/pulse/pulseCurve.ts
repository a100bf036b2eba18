import type { Library } from '../library/library.ts'
import { performedBy } from '../library/versionFor.ts'
import type { Group } from '../terms/group.ts'
import type { Step } from '../timing/step.ts'

/** How hard a moment is for a heart: shares of what lies between its rest and its top. */
export const pulseZones = ['light', 'moderate', 'vigorous'] as const
export type PulseZone = (typeof pulseZones)[number]

/** A lane's predicted pulse. It is a picture of the session, and of no child. */
export interface PulseCurve {
  /** Every few seconds, in seconds from the start and beats a minute. */
  points: { at: number; beats: number }[]
  rest: number
  top: number
  /** Where moderate and vigorous begin, in beats a minute. */
  from: { moderate: number; vigorous: number }
  /** Minutes in each zone. */
  minutes: Record<PulseZone, number>
}

/** Middle resting pulses by age. Source: Fleming et al. 2011, Lancet 377:1011 (from memory). */
const restByAge: readonly [below: number, beats: number][] = [
  [6, 98],
  [8, 91],
  [Infinity, 84],
]
/** From how much of the reserve on it is moderate and vigorous. Source: Garber et al. 2011, Med Sci Sports Exerc 43:1334 (adults). */
const shares = { moderate: 0.4, vigorous: 0.6 }
/** Seconds in which a pulse goes two thirds of the way to where the work takes it, up and down; ours. */
const [up, down] = [25, 45]
/** METs of standing still, of getting into place, and of work that is no move of the library; ours. */
const still = 1.3
const moving = 2
const unknown = 3
/** METs that would take a child to its top, above one; ours. */
const topMets = 10
/** A point every so many seconds. */
const every = 5

/** Children spread at least so many beats to both sides of the curve; ours. */
export const pulseBand = 15

/** @example restingPulse(7) // 91 */
export const restingPulse = (age: number): number => restByAge.find(([below]) => age < below)![1]

/**
 * The highest pulse of an age. Source: Tanaka et al. 2001, J Am Coll Cardiol 37:153 (adults); checked in boys of 10 to 16 by Machado
 * & Denadai 2011; below that it is drawn on.
 *
 * @example topPulse(10) // 201
 */
export const topPulse = (age: number): number => 208 - 0.7 * age

/** The age a group stands for: the middle of its ages. */
const ageOf = ({ ages: [from, to] }: Pick<Group, 'ages'>): number => (from + to) / 2

function metOf(step: Step, library: Library): number {
  if (step.kind === 'rest' || step.kind === 'talk' || step.kind === 'measure') return still
  if (step.kind !== 'work') return moving
  if (!step.move || !step.version) return unknown
  return performedBy({ move: step.move, version: step.version }, library).version.met
}

/**
 * A lane's predicted pulse: each step draws it to its own height, quickly up and slowly down.
 *
 * @param steps of the lane, each with its beginning from the start
 */
export function pulseCurve(steps: readonly Step[], group: Pick<Group, 'ages'>, library: Library): PulseCurve {
  const age = ageOf(group)
  const [rest, top] = [restingPulse(age), topPulse(age)]
  const beatsAt = (share: number) => rest + (top - rest) * share
  const from = { moderate: beatsAt(shares.moderate), vigorous: beatsAt(shares.vigorous) }
  const minutes: PulseCurve['minutes'] = { light: 0, moderate: 0, vigorous: 0 }
  const points: PulseCurve['points'] = [{ at: 0, beats: rest }]
  let beats = rest
  let at = 0
  for (const step of steps) {
    const target = beatsAt(Math.min(1, Math.max(0, (metOf(step, library) - 1) / topMets)))
    for (let left = step.seconds.typical; left > 0;) {
      const seconds = Math.min(left, 1)
      beats = target + (beats - target) * Math.exp(-seconds / (target > beats ? up : down))
      at += seconds
      left -= seconds
      const zone: PulseZone = beats >= from.vigorous ? 'vigorous' : beats >= from.moderate ? 'moderate' : 'light'
      minutes[zone] += seconds / 60
      if (at - points.at(-1)!.at >= every) points.push({ at, beats })
    }
  }
  if (points.at(-1)!.at < at) points.push({ at, beats })
  return { points, rest, top, from, minutes }
}
