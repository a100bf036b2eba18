import { type LaneLetter } from '@esfuerzo/core'

/** How a group's line is drawn: by stroke and letter as well as by color. */
export interface LaneStroke {
  /** CSS colour. */
  color: string
  /** Widths of parallel strokes: two for a double line. */
  strokes: { width: number; offset: number }[]
  /** SVG dash pattern; empty for a solid line. */
  dash: string
}

const one = (width: number) => [{ width, offset: 0 }]

/** One line style per letter: solid, dashed, double, dotted, dash-dot, wide. */
export const laneStrokes: Record<LaneLetter, LaneStroke> = {
  A: { color: 'var(--lane-A)', strokes: one(3), dash: '' },
  B: { color: 'var(--lane-B)', strokes: one(3), dash: '7 4' },
  C: {
    color: 'var(--lane-C)',
    strokes: [
      { width: 1.5, offset: -2 },
      { width: 1.5, offset: 2 },
    ],
    dash: '',
  },
  D: { color: 'var(--lane-D)', strokes: one(3), dash: '0.1 5' },
  E: { color: 'var(--lane-E)', strokes: one(3), dash: '8 4 0.1 4' },
  F: { color: 'var(--lane-F)', strokes: one(5), dash: '' },
}

export const laneStroke = (letter: string): LaneStroke => laneStrokes[letter as LaneLetter] ?? laneStrokes.F
