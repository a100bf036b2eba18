import { headRadius, type Point } from './body.ts'
import type { Figure } from './schema.ts'
import { dot, type Stroke } from './stroke.ts'

/** A disc of the head: so far forward and up from its middle, and how large, in radii of the head. */
type Disc = readonly [forward: number, upward: number, across: number]

/** Hair is a head of it, from which the face looks out; the nose stands out of that. */
const side = {
  hair: [-0.06, 0.08, 2.06],
  face: [0.24, -0.18, 1.6],
  nose: [1.04, -0.16, 0.36],
  eye: [0.6, 0.02, 0.24],
} as const
const front = { hair: [0, 0.1, 2.06], face: [0, -0.22, 1.66], nose: [0, -0.3, 0.22], eye: [0.34, -0.04, 0.22] } as const

/**
 * A head: hair, face, and a nose that says which way it looks; seen from the front two eyes.
 *
 * @param shoulder the neck comes from there: it says which way is up
 */
export function drawHead(shoulder: Point, head: Point, view: Figure['view']): Stroke[] {
  const length = Math.hypot(head.x - shoulder.x, head.y - shoulder.y)
  const up = { x: (head.x - shoulder.x) / length, y: (head.y - shoulder.y) / length }
  // Whoever stands looks to the right.
  const face = { x: -up.y, y: up.x }
  const disc = (tone: Stroke['tone'], [forward, upward, across]: Disc): Stroke =>
    dot(tone, across * headRadius, {
      x: head.x + headRadius * (forward * face.x + upward * up.x),
      y: head.y + headRadius * (forward * face.y + upward * up.y),
    })
  if (view === 'side')
    return [disc('ink', side.hair), disc('skin', side.nose), disc('skin', side.face), disc('ink', side.eye)]
  const [aside, upward, across] = front.eye
  return [
    disc('ink', front.hair),
    disc('skin', front.face),
    disc('ink', [aside, upward, across]),
    disc('ink', [-aside, upward, across]),
    disc('farSkin', front.nose),
  ]
}
