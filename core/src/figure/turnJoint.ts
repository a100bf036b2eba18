import { directionOf, type Joints, type Point } from './body.ts'
import { clampPose, turned, type ClampedPose } from './jointLimits.ts'
import type { Figure, Pose } from './schema.ts'

/** The joints a hand can drag, each with the joint its segment turns around. */
export const handles = {
  shoulder: 'hip',
  head: 'shoulder',
  elbowR: 'shoulder',
  handR: 'elbowR',
  elbowL: 'shoulder',
  handL: 'elbowL',
  kneeR: 'hip',
  ankleR: 'kneeR',
  toeR: 'ankleR',
  kneeL: 'hip',
  ankleL: 'kneeL',
  toeL: 'ankleL',
} as const satisfies Partial<Record<keyof Joints, keyof Joints>>
export type Handle = keyof typeof handles

/**
 * The direction from one point to another, in whole degrees: 0 down, 90 right, 180 up.
 *
 * @example angleTo({ x: 0, y: 0 }, { x: 1, y: 0 }) // 90
 */
export const angleTo = (from: Point, to: Point): number => Math.round(directionOf(from, to))

/** The angle of the segment that ends at a joint, in a pose; the head's angle is converted from trunk-relative to the picture's. */
export function angleOf(pose: Pose, handle: Handle): number {
  const side = handle.endsWith('R') ? 'R' : 'L'
  if (handle === 'shoulder') return pose.torso
  if (handle === 'head') return pose.torso + (pose.neck ?? 0)
  if (handle.startsWith('elbow')) return pose[`arm${side}`][0]
  if (handle.startsWith('hand')) return pose[`arm${side}`][1]
  if (handle.startsWith('knee')) return pose[`leg${side}`][0]
  if (handle.startsWith('ankle')) return pose[`leg${side}`][1]
  return pose[`foot${side}`] ?? 90
}

/**
 * A pose with the segment that ends at a joint turned to a direction; segments attached to it keep their direction. No joint bends further
 * than a body can.
 *
 * @param angle degrees in the picture
 * @example turnJoint(standing, 'side', 'ankleR', 60).clamped[0].joint // 'knee'
 */
export function turnJoint(pose: Pose, view: Figure['view'], handle: Handle, angle: number): ClampedPose {
  const side = handle.endsWith('R') ? 'R' : 'L'
  const [arm, leg, foot] = [`arm${side}`, `leg${side}`, `foot${side}`] as const
  const changed: Partial<Pose> =
    handle === 'shoulder'
      ? { torso: angle }
      : handle === 'head'
        ? { neck: turned(angle - pose.torso) }
        : handle.startsWith('elbow')
          ? { [arm]: [angle, pose[arm][1]] }
          : handle.startsWith('hand')
            ? { [arm]: [pose[arm][0], angle] }
            : handle.startsWith('knee')
              ? { [leg]: [angle, pose[leg][1]] }
              : handle.startsWith('ankle')
                ? { [leg]: [pose[leg][0], angle] }
                : { [foot]: angle }
  return clampPose({ ...pose, ...changed }, view)
}

/** A pose with left and right swapped; seen from the front, the picture is mirrored too. */
export function mirrorPose(pose: Pose, view: Figure['view']): Pose {
  const turn = (a: number) => (view === 'front' ? -a : a)
  const limb = ([a, b]: readonly [number, number]): [number, number] => [turn(a), turn(b)]
  const on = pose.on && { ...pose.on, armR: pose.on.armL, armL: pose.on.armR, legR: pose.on.legL, legL: pose.on.legR }
  return {
    ...pose,
    torso: view === 'front' ? 360 - pose.torso : pose.torso,
    ...(pose.neck !== undefined && { neck: turn(pose.neck) }),
    armR: limb(pose.armL),
    armL: limb(pose.armR),
    legR: limb(pose.legL),
    legL: limb(pose.legR),
    ...((pose.footR ?? pose.footL) !== undefined && { footR: turn(pose.footL ?? 90), footL: turn(pose.footR ?? 90) }),
    ...(on && { on }),
  }
}
