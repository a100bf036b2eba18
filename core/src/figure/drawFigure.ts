import { directionOf, segmentEnd, type Joints, type Point } from './body.ts'
import { drawHead } from './drawHead.ts'
import type { Child } from './parts.ts'
import { companyOf, pose } from './pose.ts'
import { drawProps } from './props.ts'
import type { Figure } from './schema.ts'
import { along, dot, stroke, type Stroke, type Tone } from './stroke.ts'

/** A figure as strokes, back to front, in the unit box. */
export type Drawing = readonly Stroke[]

/** Half the width of shoulders and hips seen from the front, in box heights. */
const half = { shoulders: 0.062, hips: 0.042 }

/** Thickness of a child's parts, in box heights: clothes are wider than the body. */
const width = {
  arm: 0.042,
  hand: 0.05,
  sleeve: 0.06,
  leg: 0.05,
  shorts: 0.074,
  shoe: 0.05,
  trunk: 0.098,
  neck: 0.042,
  gap: 0.066,
}
/** Trunk width of each child. */
const build: Record<Child, number> = { crop: 1, tail: 0.92, curls: 1.12 }
/** How far the sleeve or shorts reach down a limb's upper segment. */
const cloth = { sleeve: 0.55, shorts: 0.62 }

/** The joints a limb is drawn from and through. */
interface Limbs {
  joints: Joints
  shoulders: [Point, Point]
  hips: [Point, Point]
}

/**
 * The joints as drawn. A pose has one shoulder and one hip; seen from the front each limb is moved out to its own side. A child lying down
 * keeps the legs together.
 */
function spread(joints: Joints, view: Figure['view']): Limbs {
  const { shoulder, hip } = joints
  if (view === 'side') return { joints, shoulders: [shoulder, shoulder], hips: [hip, hip] }
  const direction = directionOf(hip, shoulder)
  const upright = Math.abs(Math.cos((direction * Math.PI) / 180)) > 0.7
  // Across the trunk, toward the side of the right limbs.
  const out = segmentEnd({ x: 0, y: 0 }, direction - 90, half.shoulders)
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

/** The farther side's limb, in a lighter shade. */
const farther: Partial<Record<Tone, Tone>> = { skin: 'farSkin', shirt: 'farShirt', shorts: 'farShorts', ink: 'farInk' }
const ofSide = (tone: Tone, far: boolean): Tone => (far ? (farther[tone] ?? tone) : tone)

/** An arm with its hand and sleeve. */
const arm = ([shoulder, elbow, hand]: [Point, Point, Point], far: boolean): Stroke[] => [
  stroke(ofSide('skin', far), width.arm, shoulder, elbow, hand),
  dot(ofSide('skin', far), width.hand, hand),
  stroke(ofSide('shirt', far), width.sleeve, shoulder, along(shoulder, elbow, cloth.sleeve)),
]
/** A leg with its shoe and its half of the shorts. */
const leg = ([hip, knee, ankle, toe]: [Point, Point, Point, Point], far: boolean): Stroke[] => [
  stroke(ofSide('skin', far), width.leg, hip, knee, ankle),
  stroke(ofSide('ink', far), width.shoe, ankle, toe),
  stroke(ofSide('shorts', far), width.shorts, hip, along(hip, knee, cloth.shorts)),
]

/** Shirt and waist. */
function trunk({ joints: { hip, shoulder }, shoulders, hips }: Limbs, view: Figure['view'], child: Child): Stroke[] {
  const broad = width.trunk * build[child]
  const waist = along(hip, shoulder, 0.2)
  if (view === 'side')
    return [
      stroke('shorts', width.shorts, hip, waist),
      stroke('shirt', broad, along(hip, shoulder, 0.3), along(hip, shoulder, 0.88)),
    ]
  const low = hips.map((h, i) => along(h, shoulders[i]!, 0.25)) as [Point, Point]
  return [
    stroke('shorts', width.shorts, hips[0], hips[1]),
    stroke('shirt', 0.07, shoulders[0], shoulders[1], low[1], low[0], shoulders[0]),
    stroke('shirt', broad, along(hip, shoulder, 0.35), along(hip, shoulder, 0.85)),
  ]
}

/** The other person of a figure, in lighter tones, farther away. */
function withIt(figure: Figure, body: readonly Stroke[]): Stroke[] {
  const place = companyOf(figure)
  if (!place) return []
  return body.map(({ points, width: broad, tone }) => stroke(ofSide(tone, true), broad, ...points.map(place)))
}

/**
 * A figure as drawn at one moment of its cycle: a child in a shirt, shorts and shoes; the nose shows which way it looks. Seen from the
 * side, the farther limbs are lighter and behind; an arm in front of the trunk has a gap around it, so that it can be told apart.
 *
 * @param t share of the cycle; its whole part is ignored
 * @param child who shows it
 */
export function drawFigure(figure: Figure, t: number, child: Child = 'crop'): Drawing {
  const { view } = figure
  const limbs = spread(pose(figure, t), view)
  const { joints: j, shoulders, hips } = limbs
  const things = drawProps(figure, j, t)
  const side = view === 'side'
  const [armR, armL] = [
    [shoulders[0], j.elbowR, j.handR],
    [shoulders[1], j.elbowL, j.handL],
  ] as [Point, Point, Point][] as [[Point, Point, Point], [Point, Point, Point]]
  const before = (points: [Point, Point, Point]): Stroke[] => [
    stroke('gap', width.gap, along(points[0], points[1], 0.5), points[1], points[2]),
    ...arm(points, false),
  ]
  const body = [
    ...(side ? arm(armL, true) : []),
    ...leg([hips[1], j.kneeL, j.ankleL, j.toeL], side),
    stroke('skin', width.neck, j.shoulder, j.head),
    ...trunk(limbs, view, child),
    ...leg([hips[0], j.kneeR, j.ankleR, j.toeR], false),
    ...drawHead(j.shoulder, j.head, view, child),
    ...(side ? [] : before(armL)),
    ...before(armR),
  ]
  return [...things.behind, ...withIt(figure, body), ...body, ...things.front]
}
