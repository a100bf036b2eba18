import { mdiAlertOctagonOutline, mdiEyeOutline, mdiNoteTextOutline } from '@mdi/js'
import type { Finding, Level } from '@esfuerzo/core/checks'

/** A shape for each weight, so that color alone does not carry the meaning. */
export const levelIcons: Record<Level, string> = {
  stop: mdiAlertOctagonOutline,
  look: mdiEyeOutline,
  note: mdiNoteTextOutline,
}

/** The most serious of the marked findings. Tips are not marked. */
export const gravest = (findings: readonly Finding[]): Level =>
  findings.some((f) => f.level === 'stop') ? 'stop' : 'look'
