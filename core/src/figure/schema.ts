import { z } from 'zod'
import { idSchema } from '../base/id.ts'
import { carriedKinds, companyKinds, limbNames, placedKinds } from './parts.ts'

export { carriedKinds, companyKinds, limbNames, placedKinds, type LimbName } from './parts.ts'

/** Degrees in the picture: 0 points down, 90 to the right (forward in side view), 180 up. */
const angle = z.number().min(-360).max(360)
/** Upper and lower segment: thigh and shin, upper arm and forearm. */
const limb = z.tuple([angle, angle])

/** Height of the support of a hand, a foot or the seat, in box heights: 0.09 is a bottom stair, 0.17 a child's chair. */
const height = z.number().min(0).max(0.6)
export const onSchema = z.strictObject({
  armR: height.optional(),
  armL: height.optional(),
  legR: height.optional(),
  legL: height.optional(),
  hip: height.optional(),
})
export type On = z.infer<typeof onSchema>

export const poseSchema = z.strictObject({
  /** From hip to shoulders; 180 is upright. */
  torso: angle,
  /** The head's angle against the torso. */
  neck: angle.optional(),
  armR: limb,
  armL: limb,
  legR: limb,
  legL: limb,
  /** Directions of the feet; 90 is flat, pointing forward. */
  footR: angle.optional(),
  footL: angle.optional(),
  /** A part supported by a thing instead of the floor: a foot on a step, hands on a chair. */
  on: onSchema.optional(),
  /** How far the lowest point is above its support, in box heights: a jump. */
  lift: z.number().min(0).max(0.4).optional(),
  /** Where a thrown, rolled or kicked thing is when nobody holds it: forward of the feet and above the floor. */
  free: z.tuple([z.number().min(-0.6).max(0.6), z.number().min(0).max(1)]).optional(),
  /** Share of the cycle the pose is held; `go` is the share of the way to the next. */
  hold: z.number().min(0).max(20).optional(),
  go: z.number().min(0.05).max(20).optional(),
})
export type Pose = z.infer<typeof poseSchema>

const carriers = ['handR', 'handL', 'ankleR', 'ankleL', 'head', 'shoulder', 'hip'] as const

/** A thing that stays in place: its distance in front of the middle of the first pose's feet. */
export const placedPropSchema = z.strictObject({ kind: z.enum(placedKinds), x: z.number().min(-0.8).max(0.8) })
/** A second person doing the same: a partner beyond a line at a distance ahead, a follower at a distance behind. */
export const companySchema = z.strictObject({ kind: z.enum(companyKinds), x: z.number().min(-0.6).max(0.6) })
/** A thing that moves with one joint, or between two. */
export const carriedPropSchema = z.strictObject({
  kind: z.enum(carriedKinds),
  by: z.array(z.enum(carriers)).min(1).max(2),
})
export const propSchema = z.union([placedPropSchema, companySchema, carriedPropSchema])
export type PlacedProp = z.infer<typeof placedPropSchema>
export type Company = z.infer<typeof companySchema>
export type CarriedProp = z.infer<typeof carriedPropSchema>
export type Prop = z.infer<typeof propSchema>

const seen = {
  view: z.enum(['side', 'front']),
  /** What stays in place from pose to pose; by default the middle of the feet. */
  anchor: z.enum([...limbNames, 'hip']).optional(),
  /** Hands or feet that stay where the first pose has them, on a wall or a chair. */
  fixed: z.array(z.enum(limbNames)).max(4).optional(),
  props: z.array(propSchema).max(4).optional(),
  poses: z.array(poseSchema).min(1).max(6),
}

/** A jointed figure of one exercise: one to six key poses, drawn from the side or the front. */
export const figureSchema = z.strictObject({
  id: idSchema,
  ...seen,
  /** Reps in one cycle; 2 if a cycle does both sides of an alternating exercise. */
  reps: z.int().min(1).max(4).optional(),
  /** After its poses the figure repeats them with left and right swapped. */
  mirrored: z.boolean().optional(),
  /** The pose that shows the exercise when nothing moves. */
  thumb: z.int().min(0).max(11).optional(),
  /** The same poses from another side, if one side does not show the exercise: as many, held as long. */
  second: z.strictObject(seen).optional(),
})
export type Figure = z.infer<typeof figureSchema>
