import type { Publication, PublishedMove } from '../publication/schema.ts'
import type { Amount, Unit } from '../terms/dose.ts'
import type { Course, PlayedStep } from './course.ts'
import { doneAs, type DoneAs } from './doneAs.ts'
import { playedOf } from './formPlayed.ts'
import type { LaneState, StepView } from './player.ts'

/** A code for something on the screen: the page has the words. */
export type Called =
  | { by: 'move'; move: string; version: string }
  /** Today's story, in the teacher's words. */
  | { by: 'story'; story: string }
  | { by: 'say'; say: PlayedStep['say'] }
  | { by: 'code'; code: 'finished' | 'waiting' | 'lastRest' | 'surprise' }

/** The n-th of how many. */
export interface Nth {
  n: number
  of: number
}

/** Where in the session a step is. */
export interface Where {
  section: Publication['sections'][number] | undefined
  lap?: Nth
  set?: Nth
  station?: Nth
}

/** What a lane shows during a step: it changes when a step starts and when the child does something. */
export interface LaneShown {
  /** The current or next task, after the child's choices and easier taps. */
  doing: DoneAs | undefined
  heading: Called | undefined
  where: Where | undefined
  /** What follows the current work: its exercise, if known, and the seconds of rest before it. */
  following: { called: Called; doing: DoneAs | undefined; rest: number } | undefined
  /** Exercises the child may choose at this station, including the current one. */
  choices: { move: string; version: string | undefined; on: boolean }[]
  /** Cues in turn, the teacher's own first; `own` words are shown unchanged, some about easier or harder ways. */
  cues: { text: string; own: boolean; level?: 'easier' | 'harder' }[]
  isWork: boolean
}

/** The line above the count. */
export type Prompt =
  | { code: 'waitingFor' | 'drink' | 'restNext' | 'rest' | 'change' | 'switch' }
  | { code: 'work'; side: PlayedStep['side']; dose: { amount: Amount; unit: Unit } | undefined }

/** A lane's clock: it changes by the second. */
export interface LaneClock {
  prompt: Prompt
  /** A rep, or seconds; `long` ones are shown as minutes and seconds. */
  digits: { rep: number } | { seconds: number; long: boolean }
  /** Which of the cues is shown. */
  cue: number
  lastThree: boolean
}

/** Codes about an exercise, not about a thing of their form. */
const saysMove = new Set(['work', 'workSide', 'rest', 'restNext', 'changeTo', 'switchSide'])
/** What a form says when a drawing starts, continues or repeats is in the heading already. */
const beginsDraw = /\.(draw|go|again)$/
/** Seconds a cue stays on the screen (ours). */
const cueSeconds = 6
/** Seconds of rest that leave time to drink (ours). */
const drinkFrom = 30
/** Above this many seconds, the clock shows minutes (ours): two digits can be as large as needed. */
const mostPlainSeconds = 99

/**
 * The next work or talk after a step: what "next" shows.
 *
 * @example nextShown([{ kind: 'work' }, { kind: 'rest' }, { kind: 'work' }], 0)?.index // 2
 */
export function nextShown<S extends Pick<PlayedStep, 'kind'>>(
  steps: readonly S[],
  index: number,
): { step: S; index: number } | undefined {
  const at = steps.findIndex((s, i) => i > index && (s.kind === 'work' || s.kind === 'talk'))
  return at < 0 ? undefined : { step: steps[at]!, index: at }
}

/** Reads one lane for its screen and aloud. Made once a run. */
export interface LaneReader {
  shown: (state: LaneState) => LaneShown
  clock: (state: LaneState, view: StepView, elapsed: number) => LaneClock
  /** What is said aloud when a step starts; undefined if nothing is. */
  spoken: (state: LaneState, index: number) => Called | undefined
}

/** The publication's parts, indexed by id. */
interface Known {
  publication: Publication
  track: Course['lanes'][number]
  moves: ReadonlyMap<string, PublishedMove>
  sections: ReadonlyMap<string, Publication['sections'][number]>
  blocks: ReadonlyMap<string, Publication['sections'][number]['blocks'][number]>
}

/** @returns what a lane's screen shows and says, as data */
export function laneReader(publication: Publication, track: Course['lanes'][number]): LaneReader {
  const { steps } = track
  const known: Known = {
    publication,
    track,
    moves: new Map(publication.moves.map((m) => [m.id, m])),
    sections: new Map(publication.sections.map((s) => [s.id, s])),
    blocks: new Map(publication.sections.flatMap((s) => s.blocks).map((b) => [b.id, b])),
  }
  return {
    shown: (state) => shownOf(known, state),
    clock(state, view, elapsed) {
      const s = steps[state.index]
      return {
        prompt: promptOf(state, s, elapsed, nextShown(steps, state.index) !== undefined),
        digits: digitsOf(view, elapsed),
        cue: Math.floor(elapsed / cueSeconds),
        lastThree: s?.by === 'clock' && !state.waiting && view.secondsLeft <= 3,
      }
    },
    spoken(state, index) {
      const s = steps[index]
      if (!s) return undefined
      const next = nextShown(steps, index)
      if (s.kind === 'rest' && next && hidden(known, next.step, s)) return undefined
      const changed = s.kind === 'work' && doneAs(known.moves, track, state, s, index)?.changed
      return changed ? called(known, state, s, index) : { by: 'say', say: s.say }
    },
  }
}

/** A surprise stays hidden until it starts. */
const hidden = ({ sections }: Known, s: PlayedStep, during: PlayedStep | undefined) =>
  s.section !== during?.section && sections.get(s.section)?.surprise === true

/** The name of the task: today's story name if unchanged, otherwise the exercise's name. */
function called({ moves, track }: Known, state: LaneState, s: PlayedStep, index: number): Called {
  const done = doneAs(moves, track, state, s, index)
  if (!done) return { by: 'say', say: s.say }
  const { story } = s.say.params as { story?: string }
  return story && !done.changed ? { by: 'story', story } : { by: 'move', move: done.move.id, version: done.version.id }
}

/** What comes after the current step; of a surprise only that it is one. */
function comingOf(known: Known, state: LaneState) {
  const { moves, track } = known
  const next = nextShown(track.steps, state.index)
  if (!next) return undefined
  if (hidden(known, next.step, track.steps[state.index]))
    return { step: next.step, called: { by: 'code', code: 'surprise' } as Called, station: undefined, doing: undefined }
  return {
    step: next.step,
    called: called(known, state, next.step, next.index),
    station: next.step.station,
    doing: doneAs(moves, track, state, next.step, next.index),
  }
}

function shownOf(known: Known, state: LaneState): LaneShown {
  const { steps } = known.track
  const s = steps[state.index]
  const coming = comingOf(known, state)
  if (!s || state.waiting) {
    const code = state.waiting ? 'waiting' : 'finished'
    return {
      doing: s && doingNow(known, state, s, coming?.doing),
      heading: s || !state.waiting ? { by: 'code', code } : undefined,
      where: s && whereOf(known, s, coming?.step),
      following: undefined,
      choices: [],
      cues: [],
      isWork: false,
    }
  }
  const doing = doingNow(known, state, s, coming?.doing)
  return {
    doing,
    heading: headingOf(known, state, s, coming?.called),
    where: whereOf(known, s, coming?.step),
    following:
      coming && s.kind !== 'rest'
        ? { called: coming.called, doing: coming.doing, rest: restAfter(steps, state.index) }
        : undefined,
    choices: choicesOf(known, s, doing),
    cues: cuesOf(known, s, doing, s.station ?? coming?.station),
    isWork: s.kind === 'work',
  }
}

/** While there is nothing to do, the next task is shown. */
function doingNow(
  { moves, track }: Known,
  state: LaneState,
  s: PlayedStep,
  comes: DoneAs | undefined,
): DoneAs | undefined {
  if (s.kind === 'talk') return undefined
  return doneAs(moves, track, state, s) ?? (s.kind === 'work' ? undefined : comes)
}

function headingOf(known: Known, state: LaneState, s: PlayedStep, following: Called | undefined): Called {
  if (s.kind === 'rest') return following ?? { by: 'code', code: 'lastRest' }
  if (saysMove.has(s.say.code)) return called(known, state, s, state.index)
  // What only a form can show: a sum, a flip, a question, a game. A pick shows the exercise once it is chosen.
  const picked = s.say.code === 'intervals.pick' && doneAs(known.moves, known.track, state, s)
  return picked ? called(known, state, s, state.index) : { by: 'say', say: s.say }
}

function whereOf({ track, sections, blocks }: Known, s: PlayedStep, next: PlayedStep | undefined): Where {
  const most = (kind: 'lap' | 'set', where: (s: PlayedStep) => boolean) =>
    track.steps.reduce((most, x) => (x.block === s.block && where(x) ? Math.max(most, x[kind] ?? 0) : most), 0)
  const block = blocks.get(s.block)
  const laps = most('lap', () => true)
  const at = block?.stations.findIndex((x) => x.id === (s.station ?? next?.station)) ?? -1
  return {
    section: sections.get(s.section),
    ...(laps > 1 && s.lap && { lap: { n: s.lap, of: laps } }),
    ...(s.set && { set: { n: s.set, of: most('set', (x) => x.station === s.station) } }),
    ...(block && block.stations.length > 1 && at >= 0 && { station: { n: at + 1, of: block.stations.length } }),
  }
}

function cuesOf(
  { publication, track, blocks }: Known,
  s: PlayedStep,
  done: DoneAs | undefined,
  station: string | undefined,
): LaneShown['cues'] {
  const said = saysMove.has(s.say.code) ? undefined : (s.say.params.text as string | undefined)
  if (said && !playedOf(track.lane.plays[s.block]).saysItself && !beginsDraw.test(s.say.code))
    return [{ text: said, own: true }]
  if (s.kind === 'talk') return publication.target ? [{ text: publication.target, own: true }] : []
  if (!done) return []
  const { focus, note, easier, harder } =
    [...blocks.values()].flatMap((b) => b.stations).find((x) => x.id === station) ?? {}
  const own = (text: string | undefined, level?: 'easier' | 'harder') =>
    text ? [{ text, own: true, ...(level && { level }) }] : []
  return [
    ...own(focus),
    ...own(note),
    ...[done.version.how, ...done.move.cues].filter(Boolean).map((text) => ({ text, own: false })),
    ...own(easier, 'easier'),
    ...own(harder, 'harder'),
  ]
}

function choicesOf({ track }: Known, s: PlayedStep, doing: DoneAs | undefined): LaneShown['choices'] {
  const others = (s.say.params.oneOf as string[] | undefined) ?? []
  if (!others.length || !s.move) return []
  return [s.move, ...others].map((move) => ({
    move,
    version: move === s.move ? s.version : track.lane.choices[move],
    on: move === doing?.move.id,
  }))
}

/** Seconds of rest until the next work: a change-over and the other child's turn are consecutive rests. */
function restAfter(steps: readonly PlayedStep[], index: number): number {
  let rest = 0
  for (let i = index + 1; steps[i]?.kind === 'rest'; i++) rest += steps[i]!.seconds.typical
  return rest
}

function promptOf(state: LaneState, s: PlayedStep | undefined, elapsed: number, more: boolean): Prompt {
  if (state.waiting) return { code: 'waitingFor' }
  if (s?.kind === 'rest') {
    if (s.seconds.typical >= drinkFrom && elapsed > cueSeconds) return { code: 'drink' }
    return { code: more ? 'restNext' : 'rest' }
  }
  if (s?.kind === 'change' || s?.kind === 'switch') return { code: s.kind }
  const { amount, unit } = (s?.say.params ?? {}) as { amount?: Amount; unit?: Unit }
  return {
    code: 'work',
    side: s?.side,
    dose: s?.kind === 'work' && amount !== undefined && unit ? { amount, unit } : undefined,
  }
}

/** Counted work shows the rep; everything else the remaining seconds. */
function digitsOf({ rep, secondsLeft, awaitsDone }: StepView, elapsed: number): LaneClock['digits'] {
  if (rep !== undefined) return { rep }
  // A step that waits for the child shows the elapsed time, never a countdown.
  if (awaitsDone) return { seconds: Math.floor(elapsed), long: true }
  return { seconds: secondsLeft, long: secondsLeft > mostPlainSeconds }
}
