import { type Point } from '@esfuerzo/core/figure'

/** A running track around a box: straights joined by quarter circles. */
export interface TrackGeometry {
  /** Width of the lane, in pixels. */
  lane: number
  /** The middle of the lane as an SVG path, from the top center, clockwise. */
  path: string
  /** Its length, in pixels. */
  length: number
  /** The point at a share of the way around; shares below 0 and above 1 are the start and the end. */
  pointAt: (share: number) => Point
}

/**
 * @param width of the box, in pixels
 * @param height of the box, in pixels
 * @param aside distance of the path from the middle of the lane, in pixels: above 0 inside, below 0 outside
 * @example trackGeometry(1000, 600).pointAt(0.5) // the middle of the bottom
 */
export function trackGeometry(width: number, height: number, aside = 0): TrackGeometry {
  const lane = Math.max(16, Math.min(36, Math.min(width, height) * 0.05))
  const i = lane / 2 + 6 + aside
  const w = Math.max(1, width - 2 * i)
  const h = Math.max(1, height - 2 * i)
  // The same centers for every line of the lane, so that parallel lines stay parallel in the bends.
  const r = Math.max(0, Math.min(w + 2 * aside, h + 2 * aside) * 0.26 - aside)
  const [right, bottom] = [i + w, i + h]
  const quarter = (Math.PI * r) / 2
  const arc = (x: number, y: number) => `A${r} ${r} 0 0 1 ${x} ${y}`
  const path = [
    `M${i + w / 2} ${i}H${right - r}${arc(right, i + r)}V${bottom - r}${arc(right - r, bottom)}`,
    `H${i + r}${arc(i, bottom - r)}V${i + r}${arc(i + r, i)}Z`,
  ].join('')

  const turn = (cx: number, cy: number, from: number) => (d: number) => {
    const a = from + (d / quarter) * (Math.PI / 2)
    return { x: cx + r * Math.cos(a), y: cy + r * Math.sin(a) }
  }
  /** The pieces of the way around: the length of each, and a point along it. */
  const pieces: [long: number, at: (d: number) => Point][] = [
    [w / 2 - r, (d) => ({ x: i + w / 2 + d, y: i })],
    [quarter, turn(right - r, i + r, -Math.PI / 2)],
    [h - 2 * r, (d) => ({ x: right, y: i + r + d })],
    [quarter, turn(right - r, bottom - r, 0)],
    [w - 2 * r, (d) => ({ x: right - r - d, y: bottom })],
    [quarter, turn(i + r, bottom - r, Math.PI / 2)],
    [h - 2 * r, (d) => ({ x: i, y: bottom - r - d })],
    [quarter, turn(i + r, i + r, Math.PI)],
    [w / 2 - r, (d) => ({ x: i + r + d, y: i })],
  ]
  const length = pieces.reduce((sum, [long]) => sum + long, 0)
  return {
    lane,
    path,
    length,
    pointAt(share) {
      let left = Math.min(1, Math.max(0, share)) * length
      for (const [long, at] of pieces) {
        if (left <= long) return at(left)
        left -= long
      }
      return { x: i + w / 2, y: i }
    },
  }
}
