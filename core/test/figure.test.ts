import { describe, expect, it } from 'vitest'
import { clearance, lengths, radius, type Joints } from '../src/figure/body.ts'
import { clampFigure } from '../src/figure/jointLimits.ts'
import { sitsStill } from '../src/figure/props.ts'
import {
  children,
  drawFigure,
  figureSvg,
  floorY,
  keyMoments,
  pose,
  secondView,
  stillAt,
  type Figure,
  type Point,
} from '@esfuerzo/core/figure'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'

const distance = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)
const segments: [keyof Joints, keyof Joints, number][] = [
  ['hip', 'shoulder', lengths.torso],
  ['shoulder', 'elbowR', lengths.upperArm],
  ['elbowR', 'handR', lengths.foreArm],
  ['shoulder', 'elbowL', lengths.upperArm],
  ['elbowL', 'handL', lengths.foreArm],
  ['hip', 'kneeR', lengths.thigh],
  ['kneeR', 'ankleR', lengths.shin],
  ['ankleR', 'toeR', lengths.foot],
  ['hip', 'kneeL', lengths.thigh],
  ['kneeL', 'ankleL', lengths.shin],
  ['ankleL', 'toeL', lengths.foot],
]
/** Moments of a cycle: the size of a jump between two of them depends on their distance in the cycle. */
const parts = samples(60, 240)
const moments = Array.from({ length: parts + 1 }, (_, i) => i / parts)

/** All figures, plus the second view of those that need one. */
const views = [...library.figures.values()].flatMap((f) => {
  const second = secondView(f)
  return [[f.id, f] as const, ...(second ? [[`${f.id} from its other side`, second] as const] : [])]
})

describe.each(views)('%s', (_, figure) => {
  const cycle = moments.map((t) => pose(figure, t))

  it('keeps the length of every segment', () => {
    const other = cycle.flatMap((joints) =>
      segments.filter(([a, b, length]) => Math.abs(distance(joints[a], joints[b]) - length) > 1e-6),
    )
    expect(other).toEqual([])
  })

  it('never sinks into the floor, and stays on it, or on its support, unless a pose lifts', () => {
    const lifts = Math.max(...figure.poses.map((p) => p.lift ?? 0))
    const stands = Math.max(...figure.poses.flatMap((p) => [0, ...Object.values(p.on ?? {})]))
    const above = cycle.map((joints) => clearance(joints))
    expect(Math.min(...above)).toBeGreaterThanOrEqual(-1e-9)
    // One percent of a child's height, which is 0.8 of the box.
    expect(Math.max(...above)).toBeLessThanOrEqual(lifts + stands + 0.008)
    // In its key poses it touches its support.
    for (const [i, p] of figure.poses.entries())
      expect(clearance(pose(figure, keyMoments(figure)[i]!), p.on)).toBeCloseTo(p.lift ?? 0, 6)
  })

  it('keeps standing feet in place: they move neither up nor down by one percent of the height', () => {
    for (const foot of ['R', 'L'] as const) {
      const bottom = (j: Joints) =>
        Math.max(j[`ankle${foot}`].y + radius[`ankle${foot}`], j[`toe${foot}`].y + radius[`toe${foot}`])
      const stands = figure.poses.every((p) => !p.lift && !p.on) && !figure.mirrored
      const keys = keyMoments(figure).map((t) => bottom(pose(figure, t)))
      if (!stands || !keys.every((y) => Math.abs(y - floorY) < 0.001)) continue
      expect(Math.max(...cycle.map((joints) => Math.abs(bottom(joints) - floorY)))).toBeLessThan(0.008)
    }
  })

  it('does not jump between one pose and the way to the next', () => {
    const nearby = 1e-4
    const jumps = keyMoments(figure).flatMap((t, i) => {
      const { hold = 0.15, go = 1 } = figure.poses[i % figure.poses.length]!
      const next = keyMoments(figure)[i + 1] ?? 1
      return [t, t + ((next - t) * hold) / (hold + go)].map((at) => {
        const [before, after] = [pose(figure, at - nearby), pose(figure, at + nearby)]
        return Math.max(...(Object.keys(before) as (keyof Joints)[]).map((j) => distance(before[j], after[j])))
      })
    })
    expect(Math.max(...jumps)).toBeLessThan(0.006)
  })

  it('bends no joint further than a body can', () => {
    expect(clampFigure(figure).problems).toEqual([])
  })

  it('stays inside its box and moves without jumps', () => {
    const flat = cycle.map((j) => Object.values(j) as Point[])
    expect(flat.flat().filter((p) => !(p.x > -0.06 && p.x < 1.06 && p.y > -0.06))).toEqual([])
    const jumps = flat.slice(1).flatMap((points, i) => points.map((p, k) => distance(p, flat[i]![k]!)))
    expect(Math.max(...jumps)).toBeLessThan((0.09 * 120) / parts)
    // A cycle ends where it begins.
    expect(Math.max(...flat[0]!.map((p, k) => distance(p, flat[parts]![k]!)))).toBeLessThan(1e-9)
  })
})

/** A child of 1.3 m is 0.8 of the box high. */
const metres = 1.3 / 0.8

it('no joint is faster than a child’s, at the pace each version is led', () => {
  // Common practice, no source: a foot that flicks up in 0.3 s is the fastest motion, about 8 m/s at its toes; the trunk is slower.
  const fastest = (joint: keyof Joints) => (['head', 'hip', 'shoulder'].includes(joint) ? 3 : 8.5)
  const tooFast = [...library.moves.values()].flatMap((move) =>
    move.versions.flatMap((version) => {
      const figure = library.figures.get(version.figure ?? move.figure)!
      const seconds = (version.secondsPerRep * (figure.reps ?? 1)) / parts
      const cycle = moments.map((t) => pose(figure, t))
      return (Object.keys(cycle[0]!) as (keyof Joints)[]).flatMap((joint) => {
        const speeds = cycle.slice(1).map((j, i) => (distance(j[joint], cycle[i]![joint]) * metres) / seconds)
        const most = Math.max(...speeds)
        return most > fastest(joint) ? [`${move.id}/${version.id}: ${joint} ${most.toFixed(1)} m/s`] : []
      })
    }),
  )
  expect(tooFast).toEqual([])
})

describe('an exercise that one side does not show', () => {
  const both = [...library.figures.values()].filter((f) => f.second)

  it('is drawn from another side too, in as many poses, held as long', () => {
    expect(both.map((f) => f.id)).toEqual(expect.arrayContaining(['windmill', 'twist', 'grapevine', 'hug']))
    for (const figure of both) {
      const second = secondView(figure)!
      expect(second.view).not.toBe(figure.view)
      expect(second.poses).toHaveLength(figure.poses.length)
      expect(keyMoments(second)).toEqual(keyMoments(figure))
      expect(secondView(figure)).toBe(second)
    }
  })

  it('has no second view if one side is enough', () => {
    expect(secondView(library.figures.get('squat')!)).toBeUndefined()
  })
})

it('a jump leaves the floor and a squat goes down', () => {
  const get = (id: string) => library.figures.get(id) as Figure
  expect(Math.max(...moments.map((t) => clearance(pose(get('squat-jump'), t))))).toBeCloseTo(0.1, 6)
  const squat = get('squat')
  expect(pose(squat, stillAt(squat)).hip.y).toBeGreaterThan(pose(squat, 0).hip.y + 0.1)
})

const standing = {
  torso: 180,
  armR: [8, 14],
  armL: [-8, -2],
  legR: [3, -1],
  legL: [-3, -3],
} satisfies Figure['poses'][0]
const made = (more: Partial<Figure>, ...poses: Figure['poses']): Figure => ({
  id: 'made',
  view: 'side',
  poses,
  ...more,
})

describe('a figure with impossible angles', () => {
  it('is clamped, and names the joint and pose', () => {
    const { figure, problems } = clampFigure(made({}, standing, { ...standing, legR: [0, 60], neck: 90 }))
    expect(figure.poses[1]).toEqual({ ...standing, legR: [0, 10], neck: 65 })
    expect(problems).toEqual([
      { code: 'impossible-angle', path: ['poses', 1, 'neck'], received: 'neck 90°', expected: { value: '65°' } },
      { code: 'impossible-angle', path: ['poses', 1, 'legR'], received: 'knee -60°', expected: { value: '-10°' } },
    ])
    expect(clampFigure(figure).problems).toEqual([])
  })

  it('is also clamped from its other side', () => {
    const second = { view: 'side' as const, poses: [{ ...standing, legR: [0, 60] as [number, number] }] }
    const { figure, problems } = clampFigure(made({ view: 'front', second }, standing))
    expect(figure.second!.poses[0]!.legR).toEqual([0, 10])
    expect(problems.map((p) => p.path)).toEqual([['second', 'poses', 0, 'legR']])
  })

  it('stays unchanged if every joint is possible, and may fold either way if seen from the front', () => {
    const figure = made({ view: 'front' }, { ...standing, legR: [0, 60] })
    expect(clampFigure(figure).figure).toBe(figure)
  })
})

describe('things', () => {
  it('stay where they are put, and fixed hands stay on them', () => {
    const dip = library.figures.get('chair-dip')!
    const [first] = moments.map((t) => pose(dip, t).handR)
    for (const t of moments) expect(distance(pose(dip, t).handR, first!)).toBeLessThan(0.012)
  })

  it('are carried by a hand, and fly in an arc after release', () => {
    const ball = (t: number) =>
      drawFigure(library.figures.get('basket-toss')!, t).findLast((s) => s.tone === 'prop')!.points[0]!
    const [held, let_go, landed] = keyMoments(library.figures.get('basket-toss')!)
    expect(distance(ball(held!), pose(library.figures.get('basket-toss')!, held!).handR)).toBeLessThan(1e-9)
    expect(ball(landed!).y).toBeCloseTo(floorY - 0.08, 6)
    const middle = ball((let_go! + landed!) / 2)
    expect(middle.y).toBeLessThan((ball(let_go!).y + ball(landed!).y) / 2)
  })

  it('have an arrow under the floor if the exercise travels', () => {
    const goes = [...library.moves.values()].flatMap((move) =>
      move.versions.flatMap((version) => {
        const figure = library.figures.get(version.figure ?? move.figure)!
        const arrow = figure.props?.some((p) => p.kind === 'ahead' || p.kind === 'toAndFro')
        return arrow ? [[version.id, version.space ?? move.space]] : []
      }),
    )
    expect(goes.length).toBeGreaterThan(40)
    expect(goes.filter(([, space]) => space === 'spot' || space === 'mat')).toEqual([])
  })

  it('a foot on a step keeps its height', () => {
    const up = library.figures.get('step-up')!
    for (const t of moments) expect(pose(up, t).ankleR.y + radius.ankleR).toBeCloseTo(floorY - 0.09, 2)
  })
})

describe('another child doing the same', () => {
  it('faces the first with both hands meeting, or is a step behind; lighter, and inside the picture', () => {
    const company = [...library.figures.values()].filter((f) =>
      f.props?.some((p) => p.kind === 'partner' || p.kind === 'follower'),
    )
    expect(company.map((f) => f.id)).toEqual(expect.arrayContaining(['mirror', 'palm-push', 'shadow-walk', 'toe-tag']))
    for (const figure of company) {
      const both = moments.flatMap((t) => drawFigure(figure, t).flatMap((s) => s.points.map((p) => p.x)))
      expect([Math.min(...both) > -0.04, Math.max(...both) < 1.04]).toEqual([true, true])
    }
    const push = library.figures.get('palm-push')!
    const { handR } = pose(push, 0)
    // Palm to palm: a hand's width apart.
    expect(Math.abs(2 * (0.5 - handR.x))).toBeLessThan(0.09)
    const children = drawFigure(library.figures.get('shadow-walk')!, 0).filter((s) => s.tone !== 'prop')
    const [follower, leader] = [children.slice(0, children.length / 2), children.slice(children.length / 2)]
    for (const [i, { points }] of follower.entries()) expect(points[0]!.x).toBeCloseTo(leader[i]!.points[0]!.x - 0.4, 6)
    expect(follower.map((s) => s.tone)).not.toContain('shirt')
    expect(library.moves.get('mirror')!.together).toBe(true)
  })
})

it('is a still picture as SVG text, made only of lines', () => {
  const svg = figureSvg(library.figures.get('squat')!, { size: 40 })
  expect(svg).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="40"/)
  expect(svg.replace(/<(?:polyline|line)[^<>]*\/>/g, '')).toMatch(/^<svg[^<>]*><\/svg>$/)
  expect(svg).not.toMatch(/NaN|undefined/)
})

describe('a drawn child', () => {
  const toneOf = (figure: Figure, t: number, tone: string) => drawFigure(figure, t).filter((s) => s.tone === tone)
  it('has a child’s shoulder and hip width and one tone from the front; the farther side is lighter from the side', () => {
    const far = (figure: Figure) => ['farShirt', 'farShorts', 'farInk'].some((tone) => toneOf(figure, 0, tone).length)
    expect(far(library.figures.get('jumping-jack')!)).toBe(false)
    expect(far(library.figures.get('squat')!)).toBe(true)
  })

  it('is five and a half heads high, and looks in the direction of its nose', () => {
    const squat = library.figures.get('squat')!
    const strokes = drawFigure(squat, 0)
    const { head, toeR } = pose(squat, 0)
    const top = Math.min(...strokes.flatMap((s) => s.points.map((p) => p.y - s.width / 2)))
    expect((toeR.y + radius.toeR - top) / (2 * radius.head)).toBeCloseTo(5.7, 0)
    // A standing figure looks to the right; a figure on its back looks up.
    const nose = (figure: Figure) =>
      toneOf(figure, 0, 'skin')
        .filter((s) => s.width < 0.03)
        .at(-1)!.points[0]!
    expect(nose(squat).x).toBeGreaterThan(head.x + radius.head * 0.9)
    const bridge = library.figures.get('lie-still')!
    expect(nose(bridge).y).toBeLessThan(pose(bridge, 0).head.y - radius.head * 0.9)
  })

  it('sits in a wheelchair if its legs rest, whichever child it is, and on a chair if they work', () => {
    const seats = [...library.figures.values()].filter((f) => f.props?.some((p) => p.kind === 'chair'))
    const still = seats.filter(sitsStill).map((f) => f.id)
    expect(still).toEqual(expect.arrayContaining(['seated-punches', 'arm-cycling', 'seated-overhead-clap']))
    for (const id of ['seated-march', 'leg-extension', 'sit-to-stand', 'chair-dip', 'figure-four-sit', 'toe-heel-taps'])
      expect(still).not.toContain(id)
    // The near wheel is in front of the seated child.
    const front = drawFigure(library.figures.get('seated-punches')!, 0).slice(-3)
    expect(front.map((s) => [s.tone, s.points.length > 20])).toEqual([
      ['prop', true],
      ['prop', true],
      ['prop', false],
    ])
  })

  it('is one of three, who differ in hair and build and have the same posture', () => {
    const squat = library.figures.get('squat')!
    const drawn = children.map((child) => drawFigure(squat, 0, child))
    expect(new Set(drawn.map((strokes) => strokes.filter((s) => s.tone === 'ink').length)).size).toBe(3)
    const widths = drawn.map((strokes) => strokes.findLast((s) => s.tone === 'shirt' && s.width > 0.08)!.width)
    expect(new Set(widths).size).toBe(3)
    const legs = drawn.map((strokes) => strokes.filter((s) => s.tone === 'shorts').map((s) => s.points))
    expect(legs[1]).toEqual(legs[0])
  })

  it('steps from foot to foot: one lands before the other lifts, and nobody kneels in between', () => {
    for (const id of ['march', 'heel-flicks', 'jog', 'high-knees', 'fast-feet']) {
      const figure = library.figures.get(id)!
      for (const t of moments) {
        const j = pose(figure, t)
        const down = (foot: 'R' | 'L') =>
          Math.max(j[`ankle${foot}`].y + radius[`ankle${foot}`], j[`toe${foot}`].y + radius[`toe${foot}`])
        expect([id, t, Math.max(down('R'), down('L')) > floorY - 0.045]).toEqual([id, t, true])
        for (const knee of [j.kneeR, j.kneeL]) expect(knee.y).toBeLessThan(floorY - 0.1)
      }
    }
  })
})
