import type { Content } from 'pdfmake/interfaces.js'
import { sessionView, type Language, type Library, type Session } from '@esfuerzo/core'
import { pulseBand, pulseCurve, pulseZones, type PulseCurve } from '@esfuerzo/core/pulse'
import { sheetWords } from './words.ts'

/** Points of the picture. */
const [width, height] = [300, 64]
/** The chart reaches from standing still to a little above the maximum. */
const margin = 10

/** The curve with its band, and the two zones as lines: black on white, for any printer. */
function picture({ points, rest, top, from }: PulseCurve): string {
  const seconds = points.at(-1)?.at || 1
  const x = (at: number) => ((width * at) / seconds).toFixed(1)
  const y = (beats: number) => (height - (height * (beats - rest + margin)) / (top - rest + 2 * margin)).toFixed(1)
  const line = (points: readonly PulseCurve['points'][number][], by: number) =>
    points.map(({ at, beats }) => `${x(at)},${y(beats + by)}`).join(' ')
  const zone = (beats: number) =>
    `<line x1="0" x2="${width}" y1="${y(beats)}" y2="${y(beats)}" stroke="#5B6866" stroke-width="0.5" stroke-dasharray="3 2"/>`
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}">`,
    `<polygon points="${line(points, pulseBand)} ${line(points.toReversed(), -pulseBand)}" fill="#E4E0D6"/>`,
    zone(from.moderate),
    zone(from.vigorous),
    `<polyline points="${line(points, 0)}" fill="none" stroke="#1D2A2C" stroke-width="1.4"/>`,
    '</svg>',
  ].join('')
}

/**
 * Each lane's predicted pulse in print, for the teacher only: the curve, the minutes in each zone, and its limits.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function pulsePart(session: Session, library: Library, language: Language): Content[] {
  const words = sheetWords[language]
  const lanes = sessionView(session, library).flatMap(({ group, blocks }) => {
    const steps = blocks.flatMap(({ start, timed }) => timed.steps.map((step) => ({ ...step, at: start + step.at })))
    return steps.length ? [{ group, curve: pulseCurve(steps, group, library) }] : []
  })
  if (!lanes.length) return []
  return [
    { text: words.predictedPulse, style: 'h2' },
    ...lanes.map(({ group, curve }): Content => ({
      columns: [
        {
          width: 120,
          stack: [
            { text: `${group.letter} · ${words.lane(group.name)}`, bold: true },
            ...pulseZones.map((zone) => ({ text: words.zone(zone, Math.round(curve.minutes[zone])), fontSize: 9 })),
          ],
        },
        { width, svg: picture(curve) },
      ],
      columnGap: 12,
      margin: [0, 4, 0, 6],
      unbreakable: true,
    })),
    { text: words.pulseCaveat, fontSize: 9, color: '#3A4846' },
  ]
}
