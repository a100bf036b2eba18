import { headRadius, segmentEnd, type Joints, type Point } from './body.ts'
import { pose } from './pose.ts'
import { drawProps, type Stroke } from './props.ts'
import type { Figure } from './schema.ts'

/** A figure as lines and a head, back to front, in the unit box. */
export interface Drawing {
  behind: Stroke[]
  head: { at: Point; radius: number }
  front: Stroke[]
}

/** Half the width of shoulders and hips where they are seen from the front, in box heights. */
const half = { shoulders: 0.062, hips: 0.042 }

/** What a limb is drawn from and through. */
interface Limbs {
  joints: Joints
  shoulders: [Point, Point]
  hips: [Point, Point]
}

/**
 * The joints as they are drawn. A pose knows one shoulder and one hip; seen from the front each limb is moved out to
 * its own side. Whoever lies keeps the legs together.
 */
function spread(joints: Joints, view: Figure['view']): Limbs {
  const { shoulder, hip } = joints
  if (view === 'side') return { joints, shoulders: [shoulder, shoulder], hips: [hip, hip] }
  const along = (Math.atan2(shoulder.x - hip.x, shoulder.y - hip.y) * 180) / Math.PI
  const upright = Math.abs(Math.cos((along * Math.PI) / 180)) > 0.7
  // Across the trunk, on the side of the right limbs.
  const out = segmentEnd({ x: 0, y: 0 }, along - 90, half.shoulders)
  const hips = upright ? half.hips : 0
  const moved = (p: Point, dx: number, dy: number): Point => ({ x: p.x + dx, y: p.y + dy })
  const arm = (p: Point, side: 1 | -1) => moved(p, side * out.x, side * out.y)
  const leg = (p: Point, side: 1 | -1) => moved(p, side * hips, 0)
  return {
    joints: {
      ...joints,
      elbowR: arm(joints.elbowR, 1),
      handR: arm(joints.handR, 1),
      elbowL: arm(joints.elbowL, -1),
      handL: arm(joints.handL, -1),
      kneeR: leg(joints.kneeR, 1),
      ankleR: leg(joints.ankleR, 1),
      toeR: leg(joints.toeR, 1),
      kneeL: leg(joints.kneeL, -1),
      ankleL: leg(joints.ankleL, -1),
      toeL: leg(joints.toeL, -1),
    },
    shoulders: [arm(shoulder, 1), arm(shoulder, -1)],
    hips: [leg(hip, 1), leg(hip, -1)],
  }
}

/**
 * A figure as it is drawn in one moment of its cycle. Seen from the side what is farther away is lighter, and behind;
 * an arm in front of the trunk has a gap round it, so that it can be told from it.
 *
 * @param t share of the cycle; its whole part is ignored
 */
export function drawFigure(figure: Figure, t: number): Drawing {
  const { joints: j, shoulders, hips } = spread(pose(figure, t), figure.view)
  const things = drawProps(figure, j, t)
  const line = (tone: Stroke['tone'], width: number, ...points: Point[]): Stroke => ({ points, width, tone })
  const other = figure.view === 'front' ? 'near' : 'far'
  const arm = (points: Point[], tone: 'near' | 'far'): Stroke[] => [
    line('gap', 0.07, ...points.slice(1)),
    line(tone, 0.046, ...points),
  ]
  const farArm = [shoulders[1], j.elbowL, j.handL]
  const nearArm = [shoulders[0], j.elbowR, j.handR]
  const trunk =
    figure.view === 'front'
      ? [line('near', 0.06, ...shoulders, hips[1], hips[0], shoulders[0]), line('near', 0.07, j.hip, j.shoulder)]
      : [line('near', 0.07, j.hip, j.shoulder)]
  return {
    behind: [
      ...things.behind,
      ...(figure.view === 'side' ? [line('far', 0.046, ...farArm)] : []),
      line(other, 0.056, hips[1], j.kneeL, j.ankleL),
      line(other, 0.046, j.ankleL, j.toeL),
      ...trunk,
      line('near', 0.056, hips[0], j.kneeR, j.ankleR),
      line('near', 0.046, j.ankleR, j.toeR),
    ],
    head: { at: j.head, radius: headRadius },
    front: [...(figure.view === 'front' ? arm(farArm, 'near') : []), ...arm(nearArm, 'near'), ...things.front],
  }
}
