import { playedOf } from './formPlayed.ts'
import type { Play } from '../publication/playSchema.ts'
import type { Lane, Publication } from '../publication/schema.ts'

/** A step as the player runs it. */
export type PlayedStep = Lane['steps'][number]

/** What a player runs: one lane, or two side by side. */
export interface Course {
  lanes: readonly {
    lane: Lane
    steps: readonly PlayedStep[]
    /** Seconds after which a block ends, done or not, by its id. */
    caps: ReadonlyMap<string, number>
  }[]
  /** Each block's position in the session, by its id. Lanes wait for each other at the start of a block. */
  order: ReadonlyMap<string, number>
}

/** Whether a child has to find out something and tap it in: that takes as long as it takes. */
const answered = (step: PlayedStep, play: Play | undefined): boolean =>
  step.kind === 'measure' || playedOf(play).answered?.includes(step.kind) === true

/** A step ended by the child takes as long as it takes. */
const patient = (step: PlayedStep): PlayedStep => ({ ...step, by: 'count' })

/**
 * The steps of a lane as they are run. What a child plays by taps, rounds against a clock or a coin sheet, is one step, however many the
 * timeline has for it.
 */
export function playedSteps(lane: Lane, titles: ReadonlyMap<string, string>): PlayedStep[] {
  const steps: PlayedStep[] = []
  for (const step of lane.steps) {
    const play = lane.plays[step.block]
    const { asOne } = playedOf(play)
    if (!play || !asOne) {
      steps.push(answered(step, play) ? patient(step) : step)
      continue
    }
    const last = steps.at(-1)
    if (last?.block !== step.block) {
      const clocked = asOne.clock(play)
      const title = titles.get(step.block)
      const params = { ...(title && { title }), ...asOne.params?.(play) }
      const { at, section, block } = step
      const seconds = clocked ? { low: clocked, typical: clocked, high: clocked } : { ...step.seconds }
      steps.push({
        at,
        seconds,
        kind: 'work',
        by: clocked ? 'clock' : 'count',
        section,
        block,
        say: { code: `${play.form}.go`, params },
      })
    } else if (last.by === 'count') {
      for (const end of ['low', 'typical', 'high'] as const) last.seconds[end] += step.seconds[end]
    }
  }
  return steps
}

const capsOf = (lane: Lane): ReadonlyMap<string, number> =>
  new Map(
    Object.entries(lane.plays).flatMap(([id, play]) => {
      const cap = play && playedOf(play).cap?.(play)
      return cap === undefined ? [] : [[id, cap]]
    }),
  )

/**
 * What a player runs.
 *
 * @param ids of the lanes, in the order in which they are side by side; unknown ones are left out
 */
export function courseOf(publication: Publication, ids: readonly string[]): Course {
  const blocks = publication.sections.flatMap((s) => s.blocks)
  const titles = new Map(blocks.flatMap((b) => (b.title ? [[b.id, b.title]] : [])))
  return {
    lanes: ids.flatMap((id) => {
      const lane = publication.lanes.find((l) => l.id === id)
      return lane ? [{ lane, steps: playedSteps(lane, titles), caps: capsOf(lane) }] : []
    }),
    order: new Map(blocks.map((block, i) => [block.id, i])),
  }
}
