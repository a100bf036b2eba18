import { floorY, radius, type Joints, type Point } from './body.ts'
import { isCompany } from './company.ts'
import { freeAt, originOf } from './pose.ts'
import type { CarriedProp, Figure, PlacedProp } from './schema.ts'
import type { Stroke } from './stroke.ts'

/** Heights of supports to stand, sit or lean on, in box heights (a child of 1.3 m is 0.8 high). */
export const propHeights = { chair: 0.17, chairBack: 0.42, desk: 0.4, step: 0.09 } as const

const prop = (width: number, ...points: [number, number][]): Stroke => ({
  points: points.map(([x, y]) => ({ x, y })),
  width,
  tone: 'prop',
})

const ellipse = (x: number, y: number, rx: number, ry: number): [number, number][] =>
  Array.from({ length: 25 }, (_, i) => [x + rx * Math.cos((i * Math.PI) / 12), y + ry * Math.sin((i * Math.PI) / 12)])

/** An arrow under the floor. */
const arrow = (from: number, to: number): Stroke[] => {
  const [y, back] = [floorY + 0.045, to > from ? -0.04 : 0.04]
  return [prop(0.014, [from, y], [to, y]), prop(0.014, [to + back, y - 0.026], [to, y], [to + back, y + 0.026])]
}

/** How each placed thing is drawn, with its center at x. Chairs have their back on the far side, away from the figure. */
const placed: Record<PlacedProp['kind'], (x: number, back: 1 | -1, view: Figure['view'], joints: Joints) => Stroke[]> =
  {
    chair: (x, back) => {
      const seat = floorY - propHeights.chair
      return [
        prop(0.022, [x - 0.09, seat + 0.011], [x + 0.09, seat + 0.011]),
        prop(0.016, [x - 0.08, seat], [x - 0.08, floorY]),
        prop(0.016, [x + 0.08, seat], [x + 0.08, floorY]),
        prop(0.016, [x + back * 0.088, seat], [x + back * 0.1, seat - 0.2]),
      ]
    },
    // A child who holds a chair stands behind its back.
    chairBack: (x, away) => {
      const seat = floorY - propHeights.chair
      return [
        prop(0.018, [x, floorY - propHeights.chairBack + 0.02], [x + away * 0.02, seat], [x + away * 0.01, floorY]),
        prop(0.022, [x + away * 0.02, seat + 0.011], [x + away * 0.19, seat + 0.011]),
        prop(0.016, [x + away * 0.18, seat], [x + away * 0.18, floorY]),
      ]
    },
    // It lies on a kneeling child's heels.
    cushion: (x) => [prop(0.06, [x - 0.08, floorY - 0.085], [x + 0.05, floorY - 0.085])],
    // Seen from the front, a wall is behind the child.
    wall: (x, _, view) =>
      view === 'side'
        ? [prop(0.02, [x, floorY], [x, -0.02])]
        : [prop(0.014, [x - 0.42, floorY], [x - 0.42, 0], [x + 0.42, 0], [x + 0.42, floorY])],
    desk: (x) => {
      const top = floorY - propHeights.desk
      return [
        prop(0.022, [x - 0.14, top + 0.011], [x + 0.14, top + 0.011]),
        prop(0.016, [x - 0.12, top], [x - 0.12, floorY]),
        prop(0.016, [x + 0.12, top], [x + 0.12, floorY]),
      ]
    },
    step: (x) => {
      const top = floorY - propHeights.step + 0.008
      return [prop(0.016, [x - 0.12, floorY], [x - 0.12, top], [x + 0.12, top], [x + 0.12, floorY])]
    },
    mat: (x) => [prop(0.02, [x - 0.4, floorY + 0.012], [x + 0.4, floorY + 0.012])],
    line: (x) => [prop(0.024, [x - 0.05, floorY + 0.014], [x + 0.05, floorY + 0.014])],
    hoop: (x) => [prop(0.014, ...ellipse(x, floorY + 0.01, 0.13, 0.024))],
    // As wide as the picture: a child on it moves along.
    tape: (x) => [prop(0.016, [x - 0.44, floorY + 0.01], [x + 0.44, floorY + 0.01])],
    // Seen from above if a child lies on it.
    matAbove: (x, _, __, { head, handR, handL }) => {
      const [far, near] = [Math.min(head.y - radius.head, handR.y, handL.y) - 0.05, floorY + 0.03]
      return [prop(0.012, [x - 0.46, far], [x + 0.46, far], [x + 0.46, near], [x - 0.46, near], [x - 0.46, far])]
    },
    marker: (x) => [prop(0.05, [x - 0.02, floorY + 0.02], [x + 0.02, floorY + 0.02])],
    // What feet draw: a square and a V on the floor, seen from the front.
    square: (x) => [
      prop(
        0.012,
        [x - 0.16, floorY],
        [x + 0.16, floorY],
        [x + 0.2, floorY + 0.06],
        [x - 0.2, floorY + 0.06],
        [x - 0.16, floorY],
      ),
    ],
    vee: (x) => [prop(0.012, [x - 0.2, floorY + 0.06], [x, floorY], [x + 0.2, floorY + 0.06])],
    // A sheet on the wall with a three on it.
    number: (x) => [
      prop(0.012, [x - 0.09, 0.3], [x + 0.09, 0.3], [x + 0.09, 0.54], [x - 0.09, 0.54], [x - 0.09, 0.3]),
      prop(
        0.022,
        [x - 0.04, 0.36],
        [x + 0.02, 0.35],
        [x + 0.035, 0.38],
        [x + 0.02, 0.41],
        [x - 0.01, 0.42],
        [x + 0.03, 0.435],
        [x + 0.04, 0.46],
        [x + 0.02, 0.49],
        [x - 0.04, 0.48],
      ),
    ],
    // Where it travels, drawn below the floor.
    ahead: (x) => arrow(x - 0.16, x + 0.16),
    toAndFro: (x) => [...arrow(x, x + 0.18), ...arrow(x, x - 0.18)],
    target: (x) => [
      prop(0.014, ...ellipse(x, floorY - 0.05, 0.05, 0.014)),
      prop(0.014, [x - 0.05, floorY - 0.05], [x - 0.036, floorY], [x + 0.036, floorY], [x + 0.05, floorY - 0.05]),
    ],
  }

/** A wheelchair under a seat: its big wheel is beside the child, in front of the picture. */
const wheel = 0.118
const wheelchair = (x: number): { behind: Stroke[]; front: Stroke[] } => {
  const seat = floorY - propHeights.chair
  const hub: [number, number] = [x - 0.02, floorY - wheel]
  return {
    behind: [
      prop(0.022, [x - 0.09, seat + 0.011], [x + 0.1, seat + 0.011]),
      prop(0.018, [x - 0.09, seat], [x - 0.1, seat - 0.19], [x - 0.14, seat - 0.19]),
      prop(0.016, [x + 0.1, seat + 0.011], [x + 0.16, floorY - 0.05], [x + 0.21, floorY - 0.03]),
      prop(0.014, ...ellipse(x + 0.12, floorY - 0.03, 0.024, 0.024)),
    ],
    front: [
      prop(0.016, ...ellipse(...hub, wheel - 0.008, wheel - 0.008)),
      prop(0.012, ...ellipse(...hub, wheel - 0.03, wheel - 0.03)),
      prop(0.03, hub, [hub[0] + 0.001, hub[1]]),
    ],
  }
}
/**
 * Whether a figure sits on a chair with its legs still: then the child who shows it sits in a wheelchair, because a wheelchair user needs
 * no other version.
 */
export const sitsStill = ({ poses, view }: Figure): boolean =>
  view === 'side' &&
  poses.every(
    ({ on, legR, legL, footR = 90, footL = 90 }) =>
      (on?.hip ?? 0) > 0.1 &&
      footR === footL &&
      footR === (poses[0]!.footR ?? 90) &&
      [...legR, ...legL].every((angle, i) => Math.abs(angle - poses[0]!.legR[i % 2]!) < 15),
  )

const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 })
const carriedAt =
  (by: CarriedProp['by']) =>
  (joints: Joints): Point => {
    const [a, b] = by.map((name) => joints[name])
    return b ? middle(a!, b) : a!
  }

/** From a joint to the skin a thing rests on; between seat and shoulders that is the belly, half a child's depth away. */
const underThing = (by: CarriedProp['by']): number => (by.length === 2 ? 0.045 : radius[by[0]!])

/** How each carried thing is drawn: where it is held, and along which line. */
const carried: Record<
  CarriedProp['kind'],
  (at: Point, ends: Point[], by: CarriedProp['by'], view: Figure['view']) => Stroke[]
> = {
  bottle: ({ x, y }) => [prop(0.05, [x, y - 0.02], [x, y + 0.04]), prop(0.026, [x, y - 0.02], [x, y - 0.055])],
  bag: ({ x, y }) => [prop(0.014, [x, y], [x, y + 0.03]), prop(0.1, [x - 0.012, y + 0.085], [x + 0.012, y + 0.085])],
  band: (_, ends) => [prop(0.016, ...ends.map((p): [number, number] => [p.x, p.y]))],
  ball: ({ x, y }) => [prop(0.1, [x, y], [x + 0.001, y])],
  scarf: ({ x, y }) => [prop(0.026, [x, y], [x - 0.02, y + 0.05], [x + 0.02, y + 0.1], [x, y + 0.15])],
  sock: ({ x, y }) => [prop(0.046, [x - 0.01, y - 0.02], [x, y + 0.045], [x + 0.05, y + 0.06])],
  cup: ({ x, y }) => [
    prop(0.014, [x - 0.026, y - 0.03], [x - 0.018, y + 0.035], [x + 0.018, y + 0.035], [x + 0.026, y - 0.03]),
    prop(0.03, [x, y], [x, y + 0.02]),
  ],
  book: ({ x, y }, _, by) => {
    const middle = y - underThing(by) - 0.015
    return [prop(0.03, [x - 0.06, middle], [x + 0.06, middle])]
  },
  // Breath from the mouth; from the front it is drawn to one side.
  breath: ({ x, y }, _, __, view) =>
    [-0.035, 0, 0.035].map((up) => {
      const mouth = y + (view === 'side' ? 0.03 : 0.05)
      return prop(0.012, [x + 0.1, mouth + up / 2], [x + 0.15, mouth + up * 1.5])
    }),
  // A circular motion: an arrow in a closed circle; around the hips a wider one.
  turns: ({ x, y }, _, by) => {
    const r = by.includes('hip') ? 0.13 : 0.075
    const at = (degrees: number): [number, number] => [
      x + r * Math.cos((degrees * Math.PI) / 180),
      y + 0.6 * r * Math.sin((degrees * Math.PI) / 180),
    ]
    const [tipX, tipY] = at(240)
    return [
      prop(0.012, ...Array.from({ length: 16 }, (_, i) => at(-60 + 20 * i))),
      prop(0.012, [tipX - 0.03, tipY - 0.012], [tipX, tipY], [tipX - 0.012, tipY + 0.032]),
    ]
  },
  // From hand to hand under the feet.
  rope: (_, [a, b]) => {
    const [from, to] = [a!, b!]
    const low = floorY + 0.05 - (from.y + to.y) / 2
    return [
      prop(
        0.012,
        ...Array.from({ length: 13 }, (_, i): [number, number] => {
          const share = i / 12
          return [from.x + (to.x - from.x) * share, from.y + (to.y - from.y) * share + 4 * low * share * (1 - share)]
        }),
      ),
    ]
  },
  // Held flat, with a rolled sock in its bowl.
  spoon: ({ x, y }) => [
    prop(0.016, [x, y], [x + 0.12, y]),
    prop(0.03, [x + 0.11, y + 0.004], [x + 0.15, y + 0.004]),
    prop(0.06, [x + 0.13, y - 0.035], [x + 0.131, y - 0.035]),
  ],
  stick: ({ x, y }, [a, b]) => {
    if (!b) return [prop(0.018, [x, y - 0.24], [x, y + 0.24])]
    const [dx, dy] = [b.x - a!.x, b.y - a!.y]
    const length = Math.hypot(dx, dy)
    // Hands one behind the other, seen from the side: the stick points at the viewer.
    if (length < 0.06) return [prop(0.036, [x, y], [x + 0.001, y])]
    const [ux, uy] = [(dx / length) * 0.12, (dy / length) * 0.12]
    return [prop(0.018, [a!.x - ux, a!.y - uy], [b.x + ux, b.y + uy])]
  },
}

/** The things of a figure at a moment: those behind it, and those it carries in front. */
export function drawProps(figure: Figure, joints: Joints, t: number): { behind: Stroke[]; front: Stroke[] } {
  const behind: Stroke[] = []
  const front: Stroke[] = []
  for (const thing of figure.props ?? []) {
    if (isCompany(thing)) continue
    if ('x' in thing && thing.kind === 'chair' && sitsStill(figure)) {
      const { behind: back, front: near } = wheelchair(originOf(figure) + thing.x)
      behind.push(...back)
      front.push(...near)
      continue
    }
    if ('x' in thing) {
      behind.push(...placed[thing.kind](originOf(figure) + thing.x, thing.x < 0 ? -1 : 1, figure.view, joints))
      continue
    }
    const where = carriedAt(thing.by)
    const free = freeAt(figure, t, where)
    const ends = free ? [] : thing.by.map((name) => joints[name])
    front.push(...carried[thing.kind](free ?? where(joints), ends, thing.by, figure.view))
  }
  return { behind, front }
}
