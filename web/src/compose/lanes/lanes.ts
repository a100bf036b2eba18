import { type LaneView } from '@esfuerzo/core'

/** One lane as a few paths, however long the session. */
export interface LanePicture {
  /** Filled: work. */
  work: string
  /** Hatched: talk. */
  talk: string
  /** Outlines of the blocks. */
  blocks: string
}

const rect = (from: number, to: number, height: number) =>
  `M${from.toFixed(1)} 0H${to.toFixed(1)}V${height}H${from.toFixed(1)}Z`

/** Steps narrower than this would blur; neighbors are drawn as one. In pixels. */
const narrow = 1.5

/**
 * A lane's steps as SVG paths.
 *
 * @param scale pixels per second
 * @param height pixels of the lane
 */
export function lanePicture({ blocks }: Pick<LaneView, 'blocks'>, scale: number, height: number): LanePicture {
  const picture: LanePicture = { work: '', talk: '', blocks: '' }
  const draw = (kind: 'work' | 'talk' | 'blocks', from: number, to: number) => {
    if (to > from) picture[kind] += rect(from * scale, Math.max(to * scale, from * scale + 0.5), height)
  }
  let work: { from: number; to: number } | undefined
  for (const { start, timed } of blocks) {
    draw('blocks', start, start + timed.seconds)
    for (const step of timed.steps) {
      const from = start + step.at
      const to = from + step.seconds.typical
      if (step.kind === 'talk') draw('talk', from, to)
      if (step.kind !== 'work' && step.kind !== 'measure') continue
      if (work && (from - work.to) * scale < narrow) work.to = to
      else {
        if (work) draw('work', work.from, work.to)
        work = { from, to }
      }
    }
  }
  if (work) draw('work', work.from, work.to)
  return picture
}

/**
 * The length of the time scale: past the session's minutes and the longest lane, in whole minutes.
 *
 * @param budget seconds of the session's minutes
 * @param longest seconds of the longest lane
 * @example scaleSeconds(1320, 1400) // 1560
 */
export const scaleSeconds = (budget: number, longest: number): number =>
  Math.ceil((Math.max(budget, longest) * 1.06) / 60 + 0.5) * 60

/** Minute labels under the scale: at most eight marks. */
export function scaleMarks(seconds: number): number[] {
  const minutes = seconds / 60
  const every = [1, 2, 5, 10, 15, 30].find((n) => minutes / n <= 8) ?? 30
  return Array.from({ length: Math.floor(minutes / every) + 1 }, (_, i) => i * every)
}
