import type { On } from './schema.ts'

/** A point in the unit box: x to the right, y down. */
export interface Point {
  x: number
  y: number
}

/** Lengths of the segments, as shares of the box. The same for every figure and every pose (ours). */
export const lengths = {
  torso: 0.25,
  neck: 0.05,
  upperArm: 0.13,
  foreArm: 0.12,
  thigh: 0.17,
  shin: 0.17,
  foot: 0.05,
} as const

export const headRadius = 0.07

/** The height of the floor in the box. */
export const floorY = 0.96

/** The named points of a figure at one moment. */
export interface Joints {
  hip: Point
  shoulder: Point
  head: Point
  elbowR: Point
  handR: Point
  elbowL: Point
  handL: Point
  kneeR: Point
  ankleR: Point
  toeR: Point
  kneeL: Point
  ankleL: Point
  toeL: Point
}

/** Thickness of the body around each joint: the skin touches the floor, not the joint. */
export const radius: Record<keyof Joints, number> = {
  hip: 0.035,
  shoulder: 0.035,
  head: headRadius,
  elbowR: 0.022,
  handR: 0.022,
  elbowL: 0.022,
  handL: 0.022,
  kneeR: 0.026,
  ankleR: 0.024,
  toeR: 0.024,
  kneeL: 0.026,
  ankleL: 0.024,
  toeL: 0.024,
}

/** The point between the feet in the first pose: things are placed relative to it. */
export const originAmong = ({ ankleR, ankleL }: Joints): number => (ankleR.x + ankleL.x) / 2

/** The end of a segment that starts at a point; angle in degrees: 0 down, 90 right, 180 up. */
export function segmentEnd(from: Point, angle: number, length: number): Point {
  const a = (angle * Math.PI) / 180
  return { x: from.x + Math.sin(a) * length, y: from.y + Math.cos(a) * length }
}

/**
 * The direction from one point to another, in degrees: 0 down, 90 right, 180 up.
 *
 * @example directionOf({ x: 0, y: 0 }, { x: 1, y: 0 }) // 90
 */
export const directionOf = (from: Point, to: Point): number =>
  (Math.atan2(to.x - from.x, to.y - from.y) * 180) / Math.PI

/** The limb or part a joint rests with: the toes stand on what the foot stands on. */
const restsWith: Partial<Record<keyof Joints, keyof On>> = {
  handR: 'armR',
  handL: 'armL',
  ankleR: 'legR',
  toeR: 'legR',
  ankleL: 'legL',
  toeL: 'legL',
  hip: 'hip',
}

/**
 * How far the lowest point of the body is above its support; negative is below.
 *
 * @param on heights of the parts that are supported by something other than the floor
 */
export function clearance(joints: Joints, on: On = {}): number {
  let least = Infinity
  for (const name in joints) {
    const key = name as keyof Joints
    const rests = restsWith[key]
    const under = floorY - ((rests && on[rests]) ?? 0)
    const gap = under - (joints[key].y + radius[key])
    if (gap < least) least = gap
  }
  return least
}

/** The whole figure moved. */
export function shifted(joints: Joints, dx: number, dy: number): Joints {
  const result = {} as Joints
  for (const name in joints) {
    const key = name as keyof Joints
    result[key] = { x: joints[key].x + dx, y: joints[key].y + dy }
  }
  return result
}
