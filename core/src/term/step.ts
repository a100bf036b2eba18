import type { Library } from '../library/library.ts'
import { enoughRuns, type CameBack } from '../nextTime/cameBack.ts'
import { applyNext, nextTime, nextTitle } from '../nextTime/nextTime.ts'
import type { Session } from '../session/schema.ts'
import { stepAt } from './edits.ts'

/** Runs that were clean and easy: what a planned step uses. */
const easyRuns: readonly CameBack[] = Array.from({ length: enoughRuns }, () => ({
  felt: { scale: 'ten', value: 3 },
  clean: 1,
  told: 1,
  easier: false,
  early: false,
}))
/** Between two times of one session, in weeks; two at most. */
const weeks = 2

/**
 * A session when it repeats: a step harder every second time, from a lane's results if there are enough, otherwise by plan. It adds no fix
 * or advice; if no step is small enough it is repeated unchanged.
 *
 * @param coming how often it came before: 1 is its second time
 * @param cameBack the runs of each lane, time by time, the latest first
 */
export function termStep(
  session: Session,
  library: Library,
  coming: number,
  cameBack: Readonly<Record<string, readonly (readonly CameBack[])[]>>,
): Session {
  let now = session
  for (let step = 0; step < stepAt(coming); step++) {
    const said = Object.fromEntries(
      now.groups.map(({ id }) => {
        const times = cameBack[id] ?? []
        return [id, step === 0 && (times[0]?.length ?? 0) >= enoughRuns ? times : [easyRuns]]
      }),
    )
    const first = nextTime(now, library, said, weeks).flatMap(({ changes }) => changes.slice(0, 1))
    now = applyNext(now, library, first)
  }
  const title = Array.from({ length: coming }).reduce<string>((name) => nextTitle(name), session.title)
  return { ...now, title }
}
