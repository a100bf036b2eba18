import { readFileSync } from 'node:fs'
import { ProblemError, setStation, stationsOf, type Library, type Session } from '@esfuerzo/core'
import { checkSession, findingKey, leaveFinding, type RuleId } from '@esfuerzo/core/checks'
import { parse } from '@esfuerzo/core/notation'

/** A demo session: its whiteboard text is in a file; what a whiteboard can't say is here. */
export interface DemoSession {
  /** Name of its file in `sessions/`. */
  file: string
  weeksAgo: number
  /** How many weeks ago it had been sent home before, oldest first. */
  before?: readonly number[]
  /** Whether two of its runs are odd. */
  odd?: true
  /** A test day: nearly every home sends results. */
  tests?: true
  /** Days from the week's first session. */
  day?: number
  draft?: true
  words?: readonly [word: string, meaning: string][]
  muscle?: string
  /** Exercises whose reps are recorded. */
  record?: readonly string[]
  /** Checks she ignored, each with her reason. */
  left?: Partial<Record<RuleId, string>>
}

/** The demo's sessions, oldest first; those marked `draft` are not sent home. All names and stories are invented. */
export const demoSessions: readonly DemoSession[] = [
  {
    file: 'the-ferry-stays-in',
    weeksAgo: 6,
    words: [
      ['pace', 'how fast you go'],
      ['pulse', 'your heartbeat, felt at the wrist'],
    ],
    record: ['high-knees', 'rope-skip'],
  },
  { file: 'five-buoys', weeksAgo: 6, day: 2, words: [['buoy', 'a float that marks the way']], record: ['push-up'] },
  {
    file: 'rock-pool-circuit',
    weeksAgo: 5,
    words: [['core', 'the muscles between ribs and hips']],
    muscle: 'abs',
    record: ['bridge'],
  },
  { file: 'three-casts', weeksAgo: 5, day: 2, words: [['set', 'some reps, then a rest']], record: ['push-up'] },
  { file: 'captains-orders', weeksAgo: 4, day: -2 },
  {
    file: 'lighthouse-stairs',
    weeksAgo: 4,
    before: [6],
    words: [['quadriceps', 'four muscles at the front of your thigh']],
    muscle: 'quadriceps',
    record: ['squat', 'push-up'],
  },
  { file: 'round-the-island', weeksAgo: 4, day: 2, words: [['pace', 'how fast you go']] },
  {
    file: 'heron-and-limpet',
    weeksAgo: 3,
    words: [['balance', 'staying steady without moving your feet']],
    record: ['calf-raise'],
  },
  { file: 'up-the-mast', weeksAgo: 3, day: 2, words: [['ladder', 'one more rep on every rung']] },
  { file: 'counting-the-catch', weeksAgo: 2, day: -2 },
  {
    file: 'ten-gannets',
    weeksAgo: 2,
    odd: true,
    words: [['endurance', 'keeping going for a long time']],
    record: ['jumping-jack', 'push-up'],
  },
  { file: 'heads-for-the-harbour', weeksAgo: 2, day: 2, words: [['chance', 'something nobody can know in advance']] },
  {
    file: 'still-waters',
    weeksAgo: 1,
    day: -1,
    words: [['balance', 'staying steady without moving your feet']],
    muscle: 'calves',
  },
  {
    file: 'storm-day-springs',
    weeksAgo: 1,
    before: [5, 3],
    words: [
      ['power', 'strong and quick at once'],
      ['land', 'come down from a jump'],
    ],
    muscle: 'calves',
    record: ['squat-jump', 'side-hop'],
  },
  {
    file: 'soundings',
    weeksAgo: 1,
    day: 1,
    before: [8, 7],
    tests: true,
    words: [['measure', 'find out how much, the same way every time']],
  },
  { file: 'harbour-wall', weeksAgo: 0, draft: true, words: [['push', 'away from you']] },
  { file: 'before-the-tide-turns', weeksAgo: 0, draft: true },
  { file: 'smugglers-cards', weeksAgo: 0, draft: true },
  { file: 'socks-over-the-net', weeksAgo: 0, draft: true },
  { file: 'gulls-and-tides', weeksAgo: 0, draft: true },
]

/** The text of a demo session. */
export const demoText = (file: string): string =>
  readFileSync(new URL(`../../demo/${file}.txt`, import.meta.url), 'utf8')

/**
 * A demo session as a document.
 *
 * @throws {ProblemError} naming every line of its file that cannot be read
 */
export function demoSession(session: DemoSession, library: Library): Session {
  const { workout: read, problems } = parse(demoText(session.file), library)
  if (problems.length) throw new ProblemError(problems)
  const rows = read.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))
  const recorded = rows.filter((s) => session.record?.includes(s.cells.all.move))
  const made = recorded.reduce((w, s) => setStation(w, s.id, { record: 'reps' }), {
    ...read,
    aim: {
      ...read.aim,
      words: (session.words ?? []).map(([word, meaning]) => ({ word, meaning })),
      ...(session.muscle && { muscle: session.muscle }),
    },
  })
  return checkSession(made, library).reduce((now, found) => {
    const reason = session.left?.[found.rule]
    return reason === undefined ? now : leaveFinding(now, { finding: findingKey(found), reason })
  }, made)
}
