import type { Problem } from '../base/problem.ts'
import type { Figure, Pose } from './schema.ts'

/** An angle normalized to between −180 and 180 degrees. */
export const turned = (angle: number): number => {
  const turn = ((angle % 360) + 360) % 360
  return turn > 180 ? turn - 360 : turn
}

/** How far joints bend, in degrees. Common practice, no source: wider than clinical tables, so that a lively drawing passes. */
export const jointLimits = {
  knee: [-10, 160],
  elbow: [-15, 162],
  hip: [-50, 165],
  neck: [-65, 65],
  ankle: [-10, 155],
} as const

type Joint = keyof typeof jointLimits

/** A pose with every joint inside its limits, and the joints that were not. */
export interface ClampedPose {
  pose: Pose
  clamped: { joint: Joint; at: keyof Pose; received: number; expected: number }[]
}

/**
 * A pose limited to what a body can do. Seen from the side, knees bend backward and elbows forward; seen from the front an angle is only a
 * projection, so only the fold is limited.
 *
 * @example clampPose({ ...standing, legR: [0, 40] }, 'side').pose.legR // [0, 10]: a knee does not bend forwards
 */
export function clampPose(pose: Pose, view: Figure['view']): ClampedPose {
  const clamped: ClampedPose['clamped'] = []
  const held = (joint: Joint, at: keyof Pose, received: number) => {
    const [least, most] = jointLimits[joint]
    // Seen from the front, the direction of a bend is unknown.
    const expected = Math.min(most, Math.max(view === 'front' ? -most : least, received))
    if (expected !== received) clamped.push({ joint, at, received, expected })
    return expected
  }
  const result: Pose = { ...pose }
  if (pose.neck !== undefined) result.neck = held('neck', 'neck', pose.neck)
  for (const side of ['R', 'L'] as const) {
    const [leg, arm, foot] = [`leg${side}`, `arm${side}`, `foot${side}`] as const
    let [thigh, shin] = pose[leg]
    const hip = turned(thigh - (pose.torso - 180))
    if (view === 'side') thigh += held('hip', leg, hip) - hip
    const knee = turned(thigh - shin)
    shin += knee - held('knee', leg, knee)
    result[leg] = [thigh, shin]
    const [upper, fore] = pose[arm]
    const elbow = turned(fore - upper)
    // A raised arm turns in the shoulder: its forearm may point up and back, as before a throw.
    const raised = Math.abs(turned(upper - (pose.torso - 180))) >= 80
    const bent = raised && elbow < 0 ? -held('elbow', arm, -elbow) : held('elbow', arm, elbow)
    result[arm] = [upper, fore + bent - elbow]
    if (view === 'side') {
      const toes = pose[foot] ?? 90
      const ankle = turned(toes - shin)
      const right = held('ankle', foot, ankle)
      if (right !== ankle) result[foot] = toes + right - ankle
    }
  }
  return { pose: clamped.length ? result : pose, clamped }
}

/**
 * A figure with every pose limited to what a body can do, seen from either side.
 *
 * @returns the figure itself if nothing had to change; a problem `impossible-angle` for each joint that did
 */
export function clampFigure(figure: Figure): { figure: Figure; problems: Problem[] } {
  const problems: Problem[] = []
  const clampSide = ({ view, poses }: Pick<Figure, 'view' | 'poses'>, path: Problem['path']) =>
    poses.map((pose, i) => {
      const { pose: right, clamped } = clampPose(pose, view)
      for (const { joint, at, received, expected } of clamped) {
        problems.push({
          code: 'impossible-angle',
          path: [...path, 'poses', i, at],
          received: `${joint} ${Math.round(received)}°`,
          expected: { value: `${Math.round(expected)}°` },
        })
      }
      return right
    })
  const { second } = figure
  const poses = clampSide(figure, [])
  const other = second && { ...second, poses: clampSide(second, ['second']) }
  return problems.length
    ? { figure: { ...figure, poses, ...(other && { second: other }) }, problems }
    : { figure, problems }
}
