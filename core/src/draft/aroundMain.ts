import { limit } from '../checks/limits.ts'
import { sameValue } from '../base/sameValue.ts'
import { versionAtHome } from '../choose/versionAtHome.ts'
import { newList } from '../forms/list/schema.ts'
import type { Library } from '../library/library.ts'
import type { Block } from '../session/forms.ts'
import { newSession } from '../session/newSession.ts'
import type { Session } from '../session/schema.ts'
import type { Cell, Station } from '../session/station.ts'
import { calmVersions } from '../suggest/candidates.ts'
import type { Move } from '../terms/move.ts'
import { mapGroups, type PerGroup } from '../terms/perGroup.ts'
import { sessionSeconds } from '../timing/sessionSeconds.ts'
import type { DraftAsk } from './ask.ts'
import { luckOf } from './luck.ts'
import { easierWords } from './mainPart.ts'
import { heldRows, type Parts } from './parts.ts'
import { places } from './places.ts'
import { longerWarmUp, longestPulse } from './recent.ts'
import { rowCells, type RowHow } from './rows.ts'

/** Blocks as a session of their own. */
export const blocksAlone = (
  blocks: Block[],
  { groups, home }: Pick<DraftAsk, 'groups' | 'home'>,
  library: Library,
): Session => ({
  ...newSession('alone', [[0]], 5, library.version),
  groups: [...groups],
  home,
  sections: [{ id: 'p1', role: 'main', title: '', blocks }],
})

/** So long moving wakes a body for these minutes: an eighth of them, from a minute and a half to three. */
const wantedWarmUp = (minutes: number): number => Math.min(180, Math.max(95, minutes * 7.5 + 5))
const inTens = (seconds: number): number => 10 * Math.ceil(seconds / 10)

/** What raises the pulse, calmly, and loosens; the skill, met easily; where the session is long, the first again a step livelier. */
export function warmUpBlock({ ask, library, plan, warmUp, intent }: Parts): Block {
  const luck = luckOf(ask.seed, intent)
  const held = heldRows({ ask, intent }, 'warmUp')
  const timed = (move: Move) => move.builds.includes('endurance') && move.measures.includes('seconds')
  const forSeconds = (id: string, move: Move, amount: number, calm: RowHow['calm']): Station => ({
    id,
    cells: mapGroups(rowCells(move, 'list', ask, library, { calm: calm! }), 'all', (cell) => ({
      ...cell,
      dose: { unit: 'seconds', amount },
    })),
  })
  const loose = warmUp
    .filter((m) => !timed(m))
    .map(
      (move, i) =>
        held.get(move.id) ?? { id: `b1s${i + 5}`, cells: rowCells(move, 'list', ask, library, { times: 0.8 }) },
    )
  const skill: Station = held.get(plan.skill.id) ?? {
    id: 'b1s4',
    cells: rowCells(plan.skill, 'list', ask, library, {
      times: 0.6,
      calm: 'hardest',
      slow: intent !== 'learn' && luck('slow', 2) === 0,
    }),
    ...(intent === 'learn' ? {} : { focus: plan.skill.cues[0]! }),
  }
  const others = [...loose, skill]
  const seconds = sessionSeconds(
    blocksAlone([{ ...newList(places.warmUp.block), stations: others }], ask, library),
    library,
  )
  const quickest = Math.min(...Object.values(seconds))
  const pulse = warmUp.filter(timed)
  const wanted = Math.max(40, inTens((wantedWarmUp(ask.minutes) - quickest) / Math.max(1, pulse.length)))
  const first = pulse.map((move, i) => {
    const row = forSeconds(`b1s${i + 1}`, move, Math.min(longestPulse, wanted), 'easiest')
    return held.get(move.id) ?? { ...row, cells: longer(row.cells, move, ask, library) }
  })
  const again =
    pulse[0] && wanted > longestPulse
      ? [forSeconds('b1s3', pulse[0], Math.max(20, wanted - longestPulse), 'hardest')]
      : []
  // What is done twice running is done a step livelier by everybody.
  const between =
    pulse[0] && hasLivelier(pulse[0], ask, library) && luck('between', 2) === 0
      ? [...again, ...others]
      : [...others, ...again]
  return { ...newList(places.warmUp.block), stations: [...first, ...between] }
}

/** What woke a group last time is done a little longer than then. */
const longer = (cells: PerGroup<Cell>, move: Move, ask: DraftAsk, library: Library): PerGroup<Cell> =>
  ask.groups.reduce((now, group) => {
    const cell = longerWarmUp(move, group, ask, library)
    if (!cell) return now
    const least = Number(cell.dose!.amount)
    return mapGroups(now, [group.id], ({ dose }) => ({
      ...cell,
      dose: { unit: 'seconds', amount: Math.max(least, Number(dose!.amount)) },
    }))
  }, cells)

/** Whether a calm move can be done a step livelier and still be calm, by everybody. */
const hasLivelier = (move: Move, ask: DraftAsk, library: Library): boolean =>
  ask.groups.every((group) => calmVersions(move, group, ask.home, library).length > 1)

/** One cue, two slow tries: easy first, then as each lane will do it; where nobody has an easier way, slow first, then as it is done. */
export function taughtBlock(parts: Parts): Block {
  const { ask, library, plan } = parts
  const [first, then = first] = plan.skill.cues
  const cellsOf = (slow: boolean, easier: boolean) =>
    rowCells(plan.skill, 'list', ask, library, { times: 0.5, slow, easier })
  const tried = (id: string, focus: string, cells: Station['cells']): Station => {
    const station = { id, cells, focus }
    return { ...station, ...easierWords(station, plan.skill, parts) }
  }
  const [easy, usual] = [cellsOf(true, true), cellsOf(true, false)]
  return {
    ...newList(places.taught.block),
    stations: [
      tried('b5s1', first!, easy),
      tried('b5s2', then!, sameValue(easy, usual) ? cellsOf(false, false) : usual),
    ],
    restAfter: { all: 10 },
  }
}

/** Whether some lane works hard in the main part. */
const leavesBreathless = (main: readonly Move[], ask: DraftAsk, library: Library): boolean =>
  main.some((move) => ask.groups.some((g) => versionAtHome(move, g, ask.home, library).met >= limit('hardMet', 0)))

/** The walk where it is needed, the stretches, a few breaths. */
export function coolDownBlock({ ask, library, main, warmUp, coolDown, breath, intent }: Parts): Block {
  const luck = luckOf(ask.seed, intent)
  const held = heldRows({ ask, intent }, 'coolDown')
  const [walk] = warmUp
  const easy = walk && rowCells(walk, 'list', ask, library, { calm: 'easiest' })
  const stations: Station[] = [
    // Out of breath nobody sits down: then what woke them goes with them for half a minute.
    ...(easy && walk.measures.includes('seconds') && leavesBreathless(main, ask, library)
      ? [
          {
            id: 'b4s1',
            cells: mapGroups(easy, 'all', (cell) => ({ ...cell, dose: { unit: 'seconds' as const, amount: 30 } })),
          },
        ]
      : []),
    ...coolDown.map(
      (move, i) => held.get(move.id) ?? { id: `b4s${i + 2}`, cells: rowCells(move, 'list', ask, library) },
    ),
    {
      id: 'b4s8',
      cells: mapGroups(rowCells(breath, 'list', ask, library), 'all', (cell) => ({
        ...cell,
        dose: breath.measures.includes('breaths')
          ? { unit: 'breaths' as const, amount: 3 + luck('breaths', 3) }
          : { unit: 'seconds' as const, amount: 20 },
      })),
    },
  ]
  return { ...newList(places.coolDown.block), stations }
}
