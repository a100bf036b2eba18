import type { Point } from './body.ts'

/** What a stroke belongs to: skin, shirt, shorts, hair, shoes, eyes, the farther side, a thing, or the gap around what is in front. */
export type Tone =
  | ('skin' | 'shirt' | 'shorts' | 'ink' | 'eye')
  | ('farSkin' | 'farShirt' | 'farShorts' | 'farInk')
  | ('prop' | 'gap')

/** One line of a drawing, with round ends; the same point twice makes a dot. */
export interface Stroke {
  points: Point[]
  width: number
  tone: Tone
}

export const stroke = (tone: Tone, width: number, ...points: Point[]): Stroke => ({ points, width, tone })
/** @param across its diameter */
export const dot = (tone: Tone, across: number, { x, y }: Point): Stroke =>
  // Not every renderer draws a line of zero length.
  stroke(tone, across, { x, y }, { x: x + 0.0005, y })

/** A point partway from one to another. */
export const along = (a: Point, b: Point, share: number): Point => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
})
