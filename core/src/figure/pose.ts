import {
  clearance,
  directionOf,
  floorY,
  lengths,
  originAmong,
  radius,
  segmentEnd,
  shifted,
  type Joints,
  type Point,
} from './body.ts'
import { beside } from './company.ts'
import { limbNames, type LimbName } from './parts.ts'
import type { Figure, On, Pose } from './schema.ts'
import { mirrorPose } from './turnJoint.ts'
import { twoBone } from './twoBone.ts'

const limbJoints = {
  armR: { root: 'shoulder', middle: 'elbowR', end: 'handR', upper: lengths.upperArm, lower: lengths.foreArm },
  armL: { root: 'shoulder', middle: 'elbowL', end: 'handL', upper: lengths.upperArm, lower: lengths.foreArm },
  legR: { root: 'hip', middle: 'kneeR', end: 'ankleR', upper: lengths.thigh, lower: lengths.shin },
  legL: { root: 'hip', middle: 'kneeL', end: 'ankleL', upper: lengths.thigh, lower: lengths.shin },
} as const

/** A hand or foot within this distance of the floor, or of its support, counts as standing on it. */
const standsOn = 0.03

/** A pose with every value filled in, except for a held thing. */
type FullPose = Required<Omit<Pose, 'free'>> & Pick<Pose, 'free'>

/** A key pose with its joints placed in the box and its supporting limbs. */
interface Key {
  pose: FullPose
  joints: Joints
  standing: Record<LimbName, boolean>
  /** Whether a foot carries the weight: it stands, or it is the one landing. */
  bears: Record<'legR' | 'legL', boolean>
}

interface Prepared {
  keys: Key[]
  /** The point between the feet in the first pose: things are placed relative to it. */
  origin: number
  fixed: readonly LimbName[]
  /** Start and end of each key pose's hold, as shares of the cycle. */
  times: { from: number; until: number }[]
}

const prepared = new WeakMap<Figure, Prepared>()

const filled = (pose: Pose): FullPose => ({
  neck: 0,
  footR: 90,
  footL: 90,
  on: {},
  lift: 0,
  hold: 0.15,
  go: 1,
  ...pose,
})

const other = (name: LimbName): LimbName =>
  (name.endsWith('R') ? `${name.slice(0, 3)}L` : `${name.slice(0, 3)}R`) as LimbName

function fromAngles(pose: FullPose, hip: Point): Joints {
  const shoulder = segmentEnd(hip, pose.torso, lengths.torso)
  const head = segmentEnd(shoulder, pose.torso + pose.neck, lengths.neck + radius.head)
  const joints = { hip, shoulder, head } as Joints
  for (const name of limbNames) {
    const limb = limbJoints[name]
    joints[limb.middle] = segmentEnd(joints[limb.root], pose[name][0], limb.upper)
    joints[limb.end] = segmentEnd(joints[limb.middle], pose[name][1], limb.lower)
  }
  return withFeet(joints, pose)
}

function withFeet(joints: Joints, pose: Pick<FullPose, 'footR' | 'footL'>): Joints {
  joints.toeR = segmentEnd(joints.ankleR, pose.footR, lengths.foot)
  joints.toeL = segmentEnd(joints.ankleL, pose.footL, lengths.foot)
  return joints
}

/** The lowest skin at a limb's end: a hand, or a foot from ankle to toe. */
function endBottom(joints: Joints, name: LimbName): number {
  if (name === 'legR') return Math.max(joints.ankleR.y + radius.ankleR, joints.toeR.y + radius.toeR)
  if (name === 'legL') return Math.max(joints.ankleL.y + radius.ankleL, joints.toeL.y + radius.toeL)
  return joints[limbJoints[name].end].y + radius[limbJoints[name].end]
}

/**
 * How far a limb's middle joint is off the line from root to end, signed by side; between two poses, the more bent one decides which way a
 * limb bends.
 */
function foldOf(joints: Joints, name: LimbName): number {
  const { root, middle, end } = limbJoints[name]
  const [a, b, c] = [joints[root], joints[middle], joints[end]]
  return (c.y - a.y) * (b.x - a.x) - (c.x - a.x) * (b.y - a.y)
}

/** Which way a limb bends, taken from its most bent pose; a straight one may go either way. */
const bendOf = (name: LimbName, ...poses: Joints[]): 1 | -1 => {
  const fold = poses.map((joints) => foldOf(joints, name)).sort((a, b) => Math.abs(b) - Math.abs(a))[0]!
  return fold > -1e-4 ? 1 : -1
}

/** Bends a limb so that it ends at a point, or as near as its length allows. */
function reach(joints: Joints, name: LimbName, target: Point, bend: 1 | -1): void {
  const { root, middle, end, upper, lower } = limbJoints[name]
  const solved = twoBone(joints[root], target, upper, lower, bend)
  joints[middle] = solved.middle
  joints[end] = solved.end
}

/** A pose with placed joints: the movement to the next starts exactly there. */
function asPlaced(pose: FullPose, joints: Joints): FullPose {
  const limbs = limbNames.map((name) => {
    const { root, middle, end } = limbJoints[name]
    return [name, [directionOf(joints[root], joints[middle]), directionOf(joints[middle], joints[end])]] as const
  })
  return { ...pose, ...(Object.fromEntries(limbs) as Pick<FullPose, LimbName>) }
}

/** How far a limb's end is above its support. */
const above = (joints: Joints, name: LimbName, on: On) => floorY - (on[name] ?? 0) - endBottom(joints, name)

/** Below this a limb counts as straight: twice the area between the limb and the straight line, about two hundredths of the box off it. */
const asStraight = 0.007

/** A limb that is nearly straight in a pose bends to the side it bends to in other poses, so that it does not snap over on the way. */
function bendAlike(keys: readonly Key[], name: LimbName): void {
  const bend = bendOf(name, ...keys.map((k) => k.joints))
  for (const { joints, pose } of keys) {
    const fold = foldOf(joints, name)
    if (Math.abs(fold) > asStraight || fold > 0 === bend > 0) continue
    reach(joints, name, joints[limbJoints[name].end], bend)
    withFeet(joints, pose)
  }
}

function prepare(figure: Figure): Prepared {
  const own = figure.poses.map(filled)
  const poses = figure.mirrored ? [...own, ...own.map((p) => filled(mirrorPose(p, figure.view)))] : own
  const anchors = poses.map((_, i) =>
    figure.anchor && figure.anchor !== 'hip' && i >= own.length ? other(figure.anchor) : figure.anchor,
  )
  const keys = poses.map((pose, i): Key => {
    const raw = fromAngles(pose, { x: 0, y: 0 })
    const joints = shifted(raw, 0, clearance(raw, pose.on) - pose.lift)
    const standing = {} as Key['standing']
    const bears = { legR: false, legL: false }
    for (const name of limbNames) {
      const gap = above(joints, name, pose.on)
      standing[name] = pose.lift === 0 && gap < standsOn
      if (name === 'legR' || name === 'legL') bears[name] = gap < pose.lift + standsOn
      if (!standing[name]) continue
      const { x, y } = joints[limbJoints[name].end]
      reach(joints, name, { x, y: y + gap }, bendOf(name, joints))
    }
    withFeet(joints, pose)
    const feet = originAmong(joints)
    const anchor = anchors[i]
    const still = anchor === undefined ? feet : anchor === 'hip' ? joints.hip.x : joints[limbJoints[anchor].end].x
    return { pose, joints: shifted(joints, -still, clearance(joints, pose.on) - pose.lift), standing, bears }
  })
  const first = keys[0]!
  for (const key of keys.slice(1)) {
    for (const name of figure.fixed ?? []) {
      reach(key.joints, name, first.joints[limbJoints[name].end], bendOf(name, key.joints))
      key.standing[name] = true
    }
    withFeet(key.joints, key.pose)
  }
  for (const name of limbNames) bendAlike(keys, name)
  // Centers the whole cycle in the box, with the other person, so that nothing jumps between poses.
  const points = keys.flatMap((k) => Object.values(k.joints) as Point[])
  const company = beside(figure, first.joints)
  const xs = [...points, ...(company ? points.map(company) : [])].map((p) => p.x)
  const centre = 0.5 - (Math.min(...xs) + Math.max(...xs)) / 2
  for (const key of keys) {
    key.joints = shifted(key.joints, centre, 0)
    key.pose = asPlaced(key.pose, key.joints)
  }
  const origin = originAmong(first.joints)

  const whole = poses.reduce((sum, p) => sum + p.hold + p.go, 0)
  let at = 0
  const times = poses.map((p) => {
    const from = at
    at += (p.hold + p.go) / whole
    return { from, until: from + p.hold / whole }
  })
  return { keys, times, origin, fixed: figure.fixed ?? [] }
}

const mix = (a: number, b: number, share: number) => a + (b - a) * share
/** From one direction to another the short way around, so that arms can circle. */
const mixAngle = (a: number, b: number, share: number) => {
  const turn = ((((b - a) % 360) + 540) % 360) - 180
  return a + turn * share
}
const mixPoint = (a: Point, b: Point, share: number): Point => ({ x: mix(a.x, b.x, share), y: mix(a.y, b.y, share) })
/** Slow at both ends, the way a body moves. */
const eased = (share: number) => (1 - Math.cos(Math.PI * share)) / 2

/**
 * How far each foot has come. When the weight shifts from one foot to the other, the first lands before the second lifts, so that nobody
 * kneels in between.
 */
function footShares(a: Key, b: Key, share: number): { legR: number; legL: number } {
  const leaves = (name: 'legR' | 'legL') => a.bears[name] && !b.bears[name]
  const lands = (name: 'legR' | 'legL') => !a.bears[name] && b.bears[name]
  const swaps = (leaves('legR') && lands('legL')) || (leaves('legL') && lands('legR'))
  const shareOf = (name: 'legR' | 'legL') =>
    !swaps ? share : leaves(name) ? Math.max(0, 2 * share - 1) : Math.min(1, 2 * share)
  return { legR: shareOf('legR'), legL: shareOf('legL') }
}

function between(a: Key, b: Key, share: number, fixed: readonly LimbName[]): Joints {
  const e = eased(share)
  const feet = footShares(a, b, share)
  const [r, l] = [eased(feet.legR), eased(feet.legL)]
  const angles = (x: [number, number], y: [number, number], by = e): [number, number] => [
    mixAngle(x[0], y[0], by),
    mixAngle(x[1], y[1], by),
  ]
  const pose: FullPose = {
    ...a.pose,
    torso: mixAngle(a.pose.torso, b.pose.torso, e),
    neck: mixAngle(a.pose.neck, b.pose.neck, e),
    armR: angles(a.pose.armR, b.pose.armR),
    armL: angles(a.pose.armL, b.pose.armL),
    legR: angles(a.pose.legR, b.pose.legR, r),
    legL: angles(a.pose.legL, b.pose.legL, l),
    footR: mixAngle(a.pose.footR, b.pose.footR, r),
    footL: mixAngle(a.pose.footL, b.pose.footL, l),
  }
  const joints = fromAngles(pose, mixPoint(a.joints.hip, b.joints.hip, e))
  for (const name of limbNames) {
    // A hand or foot that stands in both poses stands in between, and so does a foot that has not left yet or has landed: the limb follows.
    const own = name === 'legR' ? feet.legR : name === 'legL' ? feet.legL : share
    const still = (name === 'legR' || name === 'legL') && ((own === 0 && a.bears[name]) || (own === 1 && b.bears[name]))
    if (!fixed.includes(name) && !still && (!a.standing[name] || !b.standing[name])) continue
    const { end } = limbJoints[name]
    const target = still ? (own === 0 ? a : b).joints[end] : mixPoint(a.joints[end], b.joints[end], e)
    reach(joints, name, target, bendOf(name, a.joints, b.joints))
  }
  withFeet(joints, pose)
  const lift = mix(a.pose.lift, b.pose.lift, e)
  return shifted(joints, 0, clearance(joints, lower(a.pose.on, b.pose.on)) - lift)
}

/** Between two supports, the lower one is under the limb. */
const lower = (a: On, b: On): On =>
  Object.fromEntries(
    (['armR', 'armL', 'legR', 'legL', 'hip'] as const).map((name) => [name, Math.min(a[name] ?? 0, b[name] ?? 0)]),
  )

/**
 * Where a figure's joints are at a moment of its cycle, in a unit box with the floor at `floorY`. The lowest point of the body is on the
 * floor, or as far above it as the pose lifts; segment lengths never change.
 *
 * @param t share of the cycle; its whole part is ignored
 * @example pose(squat, 0).hip.y < pose(squat, 0.5).hip.y // true: standing, then down
 */
export function pose(figure: Figure, t: number): Joints {
  const { keys, fixed } = preparedFor(figure)
  const { from, to, share } = stretchAt(figure, t)
  const here = keys[from]!
  return share === 0 ? here.joints : between(here, keys[to]!, share, fixed)
}

function preparedFor(figure: Figure): Prepared {
  let known = prepared.get(figure)
  if (!known) {
    known = prepare(figure)
    prepared.set(figure, known)
  }
  return known
}

/** Which key poses a moment lies between, and how far along; share 0 is the first of them. */
function stretchAt(figure: Figure, t: number): { from: number; to: number; share: number } {
  const { keys, times } = preparedFor(figure)
  const phase = t - Math.floor(t)
  let from = keys.length - 1
  while (from > 0 && times[from]!.from > phase) from--
  const to = (from + 1) % keys.length
  const { until } = times[from]!
  if (phase <= until || keys.length === 1) return { from, to, share: 0 }
  return { from, to, share: (phase - until) / ((times[from + 1]?.from ?? 1) - until) }
}

/**
 * Where a thing is after it leaves the hands: in a straight line on the floor, or in an arc through the air.
 *
 * @param carried where it is while held, at a moment of the figure
 * @returns undefined if no pose lets go of it
 */
export function freeAt(figure: Figure, t: number, carried: (joints: Joints) => Point): Point | undefined {
  const { keys, origin } = preparedFor(figure)
  if (!keys.some((k) => k.pose.free)) return undefined
  const { from, to, share } = stretchAt(figure, t)
  const place = ({ pose: { free }, joints }: Key): Point =>
    free ? { x: origin + free[0], y: floorY - free[1] } : carried(joints)
  const [a, b] = [keys[from]!, keys[to]!]
  if (!a.pose.free && !b.pose.free) return carried(pose(figure, t))
  const point = mixPoint(place(a), place(b), share)
  // A throw rises above the straight line; a rolling thing stays down.
  const rolls = point.y > floorY - 0.12
  const far = Math.abs(place(a).x - place(b).x)
  return { x: point.x, y: point.y - (rolls ? 0 : far * share * (1 - share)) }
}

/** The point between the feet in the first pose. */
export const originOf = (figure: Figure): number => preparedFor(figure).origin

/** Where the other person is; undefined if the figure is alone. */
export const companyOf = (figure: Figure): ((point: Point) => Point) | undefined =>
  beside(figure, preparedFor(figure).keys[0]!.joints)

/** The moment of the cycle that represents the exercise in a still picture. */
export const stillAt = (figure: Figure): number => preparedFor(figure).times[figure.thumb ?? 0]?.from ?? 0

/** The moments at which the figure is in its key poses, including mirrored ones. */
export const keyMoments = (figure: Figure): number[] => preparedFor(figure).times.map((time) => time.from)
