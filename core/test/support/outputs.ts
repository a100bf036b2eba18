import { createHash } from 'node:crypto'
import { laneProblems } from '../../src/timing/timeline.ts'
import {
  moveNames,
  ProblemError,
  sayText,
  stationsOf,
  timeline,
  totals,
  type Library,
  type Session,
} from '@esfuerzo/core'
import { captions, markdown } from '@esfuerzo/core/cues'
import { print } from '@esfuerzo/core/notation'
import { publish, recordRows, sheetRows } from '@esfuerzo/core/publication'
import { arrange } from '@esfuerzo/core/tools'
import { fitCommand } from '../../../cli/src/fitCommand.ts'
import { notationCommand } from '../../../cli/src/notationCommand.ts'
import { timelineCommand } from '../../../cli/src/timelineCommand.ts'

const call = { rest: 'rest', ready: 'ready', go: 'go' } as never

/** The outputs of a session, each as text: the same session must give the same bytes, however the code is organized. */
export const outputs: Record<string, (session: Session, library: Library) => unknown> = {
  timeline: (w, library) => w.groups.map((g) => timeline(w, g.id, library)),
  totals: (w, library) => w.groups.map((g) => totals(timeline(w, g.id, library), g, library)),
  problems: (w, library) => w.groups.map((g) => laneProblems(w, g, timeline(w, g.id, library))),
  publication: (w, library) => publish(w, library, 'A line of the school'),
  sheets: (w, library) => {
    const publication = publish(w, library)
    return publication.lanes.map((lane) =>
      (['en', 'es'] as const).map((l) => [sheetRows(publication, lane, l), recordRows(publication, lane, l)]),
    )
  },
  captions: (w, library) => {
    const names = moveNames(library.moves)
    return w.groups.map((g) =>
      (['en', 'es'] as const).map((l) => captions(timeline(w, g.id, library), (s) => sayText(s.say, names, l), call)),
    )
  },
  markdown,
  text: print,
  json: (w) => notationCommand(JSON.stringify(w), unasked),
  command: (w) => timelineCommand(JSON.stringify(w), unasked),
  arrange: (w, library) =>
    w.sections
      .flatMap((s) => s.blocks)
      .filter((b) => stationsOf(b).length > 1 && stationsOf(b).length < 7)
      .slice(0, 1)
      .map((b) => arrange(w, b.id, library)),
  fit: (w) =>
    w.sections.length > 2 && w.title.startsWith('fit:') ? fitCommand(JSON.stringify(w), unasked) : undefined,
}

/** Documents leave nothing open. */
const unasked = () => {}

/** The beginning of an output's SHA-256; if the output is refused, the reason. */
export function digest(make: () => unknown): string {
  let made: unknown
  try {
    made = make()
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    return `refused: ${error.problems.map(({ code, path }) => `${code} ${path.join('.')}`).join(', ')}`
  }
  return createHash('sha256')
    .update(JSON.stringify(made) ?? 'nothing')
    .digest('hex')
    .slice(0, 16)
}
