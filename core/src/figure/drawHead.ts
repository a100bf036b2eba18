import { headRadius, type Point } from './body.ts'
import type { Child } from './parts.ts'
import type { Figure } from './schema.ts'
import { dot, type Stroke } from './stroke.ts'

/** A disc of the head: how far forward and up from its center, and how large, in radii of the head. */
type Disc = readonly [forward: number, upward: number, across: number]

/** Hair covers a head, from which the face looks out; the nose sticks out of that. */
const side = {
  hair: [-0.06, 0.08, 2.06],
  face: [0.24, -0.18, 1.6],
  nose: [1.04, -0.16, 0.36],
  eye: [0.6, 0.02, 0.24],
} as const
const front = { hair: [0, 0.1, 2.06], face: [0, -0.22, 1.66], nose: [0, -0.3, 0.22], eye: [0.34, -0.04, 0.22] } as const

/** Each child's extra hair: a ponytail, or curls all around. */
const more: Record<Child, Record<Figure['view'], readonly Disc[]>> = {
  crop: { side: [], front: [] },
  tail: {
    side: [
      [-1.02, 0.34, 0.62],
      [-1.32, -0.02, 0.6],
      [-1.42, -0.46, 0.5],
    ],
    front: [
      [1.02, -0.1, 0.66],
      [-1.02, -0.1, 0.66],
      [1.14, -0.56, 0.52],
      [-1.14, -0.56, 0.52],
    ],
  },
  curls: {
    side: [
      [0.3, 0.98, 0.9],
      [-0.4, 0.98, 1],
      [-0.95, 0.5, 1],
      [-1.05, -0.15, 0.9],
    ],
    front: [
      [0, 1.06, 0.9],
      [0.66, 0.8, 0.9],
      [-0.66, 0.8, 0.9],
      [1, 0.2, 0.8],
      [-1, 0.2, 0.8],
    ],
  },
}

/**
 * A head: hair, face, and a nose that shows which way it looks; two eyes if seen from the front.
 *
 * @param shoulder where the neck starts: it shows which way is up
 */
export function drawHead(shoulder: Point, head: Point, view: Figure['view'], child: Child): Stroke[] {
  const length = Math.hypot(head.x - shoulder.x, head.y - shoulder.y)
  const up = { x: (head.x - shoulder.x) / length, y: (head.y - shoulder.y) / length }
  // Standing figures look to the right.
  const face = { x: -up.y, y: up.x }
  const disc = (tone: Stroke['tone'], [forward, upward, across]: Disc): Stroke =>
    dot(tone, across * headRadius, {
      x: head.x + headRadius * (forward * face.x + upward * up.x),
      y: head.y + headRadius * (forward * face.y + upward * up.y),
    })
  const hair = more[child][view].map((shape) => disc('ink', shape))
  if (view === 'side')
    return [...hair, disc('ink', side.hair), disc('skin', side.nose), disc('skin', side.face), disc('eye', side.eye)]
  const [aside, upward, across] = front.eye
  return [
    ...hair,
    disc('ink', front.hair),
    disc('skin', front.face),
    disc('eye', [aside, upward, across]),
    disc('eye', [-aside, upward, across]),
    disc('farSkin', front.nose),
  ]
}
