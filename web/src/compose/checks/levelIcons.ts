import { mdiAlertOctagonOutline, mdiEyeOutline, mdiNoteTextOutline } from '@mdi/js'
import type { Finding, Level } from '@esfuerzo/core/checks'

/** A shape for each weight: not its hue says which it is. */
export const levelIcons: Record<Level, string> = {
  stop: mdiAlertOctagonOutline,
  look: mdiEyeOutline,
  note: mdiNoteTextOutline,
}

/** The gravest of what is marked: notes are not. */
export const gravest = (findings: readonly Finding[]): Level =>
  findings.some((f) => f.level === 'stop') ? 'stop' : 'look'
