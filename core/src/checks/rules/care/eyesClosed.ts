import { wordRule } from '../../wordRule.ts'

/** Eyes closed in what moves or stands; at rest they may. */
export const eyesClosed = wordRule(
  'eyes-closed',
  'look',
  'care',
  /\b(?:(?:close|closing|shut)\b.{0,14}\beyes|eyes (?:are )?(?:closed|shut)|ojos cerrados|cierr(?:a|en) los ojos)\b/i,
  ({ where }, { session, cells }) => {
    const cell = cells.find((c) => c.station.id === where.station)
    if (cell) return !['breathe', 'stretch'].includes(cell.move.family)
    const section = session.sections.find((s) => s.id === where.section)
    return section !== undefined && section.role !== 'coolDown'
  },
)
