import { z } from 'zod'
import { pulseRate } from '../results/pulse.ts'
import { feltSchema, type Run } from '../run/schema.ts'

/** What one run of a lane says about how the session went. */
export const cameBackSchema = z.strictObject({
  felt: feltSchema.optional(),
  /** Of the counted results: how many were clean, and how many say whether they were. */
  clean: z.int().min(0),
  told: z.int().min(0),
  /** Something was done in an easier version. */
  easier: z.boolean(),
  /** It was stopped before its end. */
  early: z.boolean(),
  /** Its pulses in beats per minute, if the session asked for them. */
  pulses: z
    .array(z.strictObject({ when: z.enum(['before', 'during', 'after', 'minuteAfter']), rate: z.number() }))
    .optional(),
  /** It was typed in or imported: no device saw whether it was stopped or made easier. */
  typed: z.literal(true).optional(),
})
export type CameBack = z.infer<typeof cameBackSchema>

/** How a run went, from its results. */
export function cameBackOf({
  felt,
  results,
  steps,
  ended,
  pulses,
}: Pick<Run, 'felt' | 'steps' | 'ended' | 'pulses'> & {
  results: readonly Pick<Run['results'][number], 'clean'>[]
}): CameBack {
  const told = results.flatMap((r) => r.clean ?? [])
  return {
    ...(felt && { felt }),
    clean: told.filter((clean) => clean === 'yes').length,
    told: told.length,
    easier: steps.easier > 0,
    early: ended === 'early',
    ...(pulses?.length && {
      pulses: pulses.map(({ when, beats, seconds }) => ({ when, rate: pulseRate(beats, seconds).rate })),
    }),
  }
}

/** Whether it was typed in and nobody said how clean it was: paper is counted, and its teacher knows. */
export const isUnsaidClean = ({ typed, told }: CameBack): boolean => typed === true && told === 0

/** A teacher's judgement of typed results: mostly clean. @example saidClean(run).told // 1 */
export const saidClean = (run: CameBack): CameBack => (isUnsaidClean(run) ? { ...run, clean: 1, told: 1 } : run)

/** The conclusion from a lane's runs: a step up, a step down, the same again; or too little is known, which also means the same again. */
export type Signal = 'up' | 'down' | 'same' | 'unknown'

/** From this many runs on, one time is enough; with fewer, two times in a row must agree. */
export const enoughRuns = 5
/** Shares of runs, and the highest median effort that still means *up*; on the scale of five faces, the three lower ones. Ours. */
const limits = { clean: 0.7, hard: 0.3, ten: 6, faces: 3 }

const middle = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b)
  const half = Math.floor(sorted.length / 2)
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}

/** The conclusion from the runs of one time. */
function ofOneTime(runs: readonly CameBack[]): Signal {
  if (!runs.length) return 'unknown'
  const told = runs.filter((run) => run.told > 0)
  const unclean = told.filter((run) => run.clean < run.told / 2).length
  // A typed result cannot show that a run was stopped, so it must not hide one that was.
  const sent = runs.filter((run) => !run.typed)
  const seen = sent.length >= enoughRuns ? sent : runs
  const hard = seen.filter((run) => run.easier || run.early).length
  if (hard / seen.length >= limits.hard || (told.length > 0 && unclean / told.length >= limits.hard)) return 'down'
  const felt = runs.flatMap((run) => run.felt ?? [])
  // A missing answer does not count as a good one.
  if (!told.length || !felt.length || told.length < runs.length / 2 || felt.length < runs.length / 2) return 'unknown'
  const clean = told.reduce((sum, run) => sum + run.clean, 0) / told.reduce((sum, run) => sum + run.told, 0)
  const scale = felt[0]!.scale
  const easy = middle(felt.filter((f) => f.scale === scale).map((f) => f.value)) <= limits[scale]
  return clean >= limits.clean && easy ? 'up' : 'same'
}

/**
 * The conclusion from a lane's results: from five or more runs of the last time, or from the same conclusion twice in a row.
 *
 * @param times its runs of the last times it was sent home, the latest first
 * @example signalOf([Array(5).fill({ felt: { scale: 'ten', value: 5 }, clean: 3, told: 3, easier: false, early: false })]) // 'up'
 */
export function signalOf([last = [], before = []]: readonly (readonly CameBack[])[]): Signal {
  const now = ofOneTime(last)
  if (last.length >= enoughRuns || now === 'unknown') return now
  const then = ofOneTime(before)
  return now === then ? now : before.length && then !== 'unknown' ? 'same' : 'unknown'
}
