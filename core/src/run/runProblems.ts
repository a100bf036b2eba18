import type { Problem } from '../base/problem.ts'
import type { Outline } from '../publication/outline.ts'
import type { Run } from './schema.ts'

/** Values of one block that do not belong to a step: its rounds, its points, tries of a test. */
const ofBlock = 20

/** A run with more entries than its lane has steps: nobody did that, and reading it would delay everybody. */
function tooMuch({ results, counted = [], pulses = [] }: Run, steps: number, blocks: number): Problem[] {
  const most = { results: steps + ofBlock * (blocks + 1), counted: steps, pulses: 4 * blocks + 4 }
  return Object.entries({ results, counted, pulses }).flatMap(([field, list]): Problem[] => {
    const atMost = most[field as keyof typeof most]
    return list.length > atMost
      ? [{ code: 'too-many', path: [field], expected: { atMost }, received: { is: 'more' } }]
      : []
  })
}

/** Entries of a run that its publication does not have. @param sha256 the publication's address */
export function runProblems(run: Run, sha256: string, { lanes, blocks }: Outline): Problem[] {
  const problems: Problem[] = []
  if (run.publication !== sha256)
    problems.push({ code: 'invalid', path: ['publication'], expected: { rule: 'thisSession' } })
  if (!lanes.some((l) => l.id === run.group)) {
    problems.push({
      code: 'unknown-group',
      path: ['group'],
      received: run.group,
      expected: { oneOf: lanes.map((l) => l.id) },
    })
  }
  const known = new Map(blocks.map((b) => [b.id, b.stations]))
  run.results.forEach((result, i) => {
    const stations = known.get(result.block)
    if (!stations || (result.station && !stations.includes(result.station))) {
      problems.push({
        code: 'not-found',
        path: ['results', i, stations ? 'station' : 'block'],
        received: stations ? result.station : result.block,
      })
    }
  })
  const lane = lanes.find((l) => l.id === run.group)
  if (lane?.steps !== undefined) problems.push(...tooMuch(run, lane.steps, blocks.length))
  if (run.finishedAt < run.startedAt)
    problems.push({ code: 'too-small', path: ['finishedAt'], expected: { rule: 'notBeforeItStarted' } })
  return problems
}
