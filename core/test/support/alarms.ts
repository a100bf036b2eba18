import type { Finding, RuleId } from '@esfuerzo/core/checks'

/** Findings in sessions that are good: sessions with advice, and tips. */
export interface Alarms {
  sessions: number
  stops: number
  looks: number
  medianNotes: number
  /** How many sessions each rule has a finding in. */
  rules: Partial<Record<RuleId, number>>
}

/** Counts the findings in each session of a shelf. */
export function alarms(said: readonly (readonly Finding[])[]): Alarms {
  const notes = said.map((found) => found.filter((f) => f.level === 'note').length).sort((a, b) => a - b)
  const rules: Alarms['rules'] = {}
  for (const found of said) for (const id of new Set(found.map((f) => f.rule))) rules[id] = (rules[id] ?? 0) + 1
  return {
    sessions: said.length,
    stops: said.flat().filter((f) => f.level === 'stop').length,
    looks: said.filter((found) => found.some((f) => f.level === 'look')).length,
    medianNotes: notes[Math.floor(notes.length / 2)] ?? 0,
    rules,
  }
}
