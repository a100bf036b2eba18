import type { Library } from '../library/library.ts'
import { newList } from '../forms/list/schema.ts'
import { newTalk } from '../forms/talk/schema.ts'
import type { Block, Form } from '../session/forms.ts'
import { newWorkout } from '../session/newWorkout.ts'
import type { Section, Workout } from '../session/schema.ts'
import type { Station } from '../session/station.ts'
import { mapGroups, type PerGroup } from '../terms/perGroup.ts'
import { calmVersion } from '../suggest/candidates.ts'
import { versionAtHome } from '../choose/versionAtHome.ts'
import { versionsFor } from '../home/obstacles.ts'
import { lowestGrade } from '../terms/group.ts'
import type { Move } from '../terms/move.ts'
import { sessionSeconds } from '../timing/sessionSeconds.ts'
import { bandOf, limit } from '../checks/limits.ts'
import { roomOf, type DraftAsk, type DraftPart, type Intent } from './ask.ts'
import { buildsUp, comesBack, type Plan } from './plans.ts'
import type { DraftPlace } from './formDraft.ts'
import { luckOf } from './luck.ts'
import { oneStepOn } from './recent.ts'
import { rowCells, type RowHow } from './rows.ts'
import { skillWords } from './skillWords.ts'
import { stories, type Story } from './stories.ts'

/** All that a draft is made of, before its size is found. */
export interface Parts {
  intent: Intent
  ask: DraftAsk
  library: Library
  plan: Plan
  main: readonly Move[]
  warmUp: readonly Move[]
  coolDown: readonly Move[]
  breath: Move
  /** The form of the game at the end, or a move that is one. */
  game: { form: Form } | { move: Move } | undefined
  second: Form | undefined
}

/** What a draft's size is made of. */
export interface Sizing {
  main: Block
  second?: Block | undefined
  game?: Block | undefined
}

const pick = <T>(list: readonly T[], n: number): T => list[n % list.length]!

/** The story of a draft: none whose title the last two sessions had. */
export function storyOf({ intent, ask }: Pick<Parts, 'intent' | 'ask'>): { story: Story; title: string } {
  const luck = luckOf(ask.seed, 'story')
  // Each intent takes another.
  const order = [...stories.keys()].sort((a, b) => luck(`${a}`, 1_000_000) - luck(`${b}`, 1_000_000))
  const at = { learn: 0, work: 1, play: 2 }[intent]
  const before = new Set(ask.recent.map((w) => w.title))
  const story = stories[order[at]!]!
  const titles = story.titles.filter((title) => !before.has(title))
  return { story, title: pick(titles.length ? titles : story.titles, luckOf(ask.seed, intent)('title', 60)) }
}

/** Where a form stands to make its block. */
export function placeOf(parts: Parts, id: string, form: Form, moves: readonly Move[]): DraftPlace {
  const { ask, library, intent, plan } = parts
  const luck = luckOf(ask.seed, intent)
  const room = roomOf(ask)
  const youngest = ask.groups.filter((g) => bandOf(g.grades) === 0).map((g) => g.id)
  const held = new Map(
    (ask.held?.[intent] ?? []).flatMap((r) => (r.part === 'main' ? [[r.station.cells.all.move, r.station]] : [])),
  )
  let made = 0
  return {
    id,
    ask,
    band: room.band,
    library,
    moves,
    row: (move, of, how = {}) => {
      const stationId = `${id}s${(made = (made % 60) + 1)}`
      const kept = held.get(move.id)
      if (kept && id === 'b2') return { ...skillMarks(move, plan), ...kept, id: stationId }
      return mainRow(parts, stationId, move, of, move.id === plan.skill.id ? how : { ...how, laps: 1 })
    },
    calls: storyOf(parts).story.calls,
    below: (n) => luck(`below ${id} ${form}`, n),
    young: <T>(all: T, young: T): PerGroup<T> =>
      room.youngEarlier && youngest.length && youngest.length < ask.groups.length
        ? mapGroups({ all }, youngest, () => young)
        : { all: room.youngEarlier && youngest.length ? young : all },
    groups: ask.groups,
  }
}

/** What a child writes down of its skill. */
const recordOf = ({ measures }: Move) => (measures.includes('reps') ? ('reps' as const) : ('seconds' as const))
/** The skill is looked at in one point, and what was done of it is written down. */
const skillMarks = (move: Move, { skill }: Plan): Partial<Station> =>
  move.id === skill.id ? { focus: move.cues[0]!, record: recordOf(move) } : {}

/** For who finds the easiest version too hard. */
const asEasier = ['Half as fast', 'Do half, breathe, do the other half', 'Slowly, and stop when you like'] as const
const asksMuch = ({ cells }: Station, move: Move): boolean =>
  [cells.all, ...Object.values(cells.by ?? {})].some(({ version }) => {
    const [easiest] = move.versions
    return version === easiest!.id && easiest!.met >= limit('easierFrom', 0)
  })

/** A row of the main part: the skill with its point to look at, what comes back a step on. */
function mainRow(parts: Parts, id: string, move: Move, form: Form, how: RowHow): Station {
  const { ask, library, plan } = parts
  const station: Station = { id, cells: rowCells(move, form, ask, library, how) }
  // In a sheet it may come again, in another number: once it is written down.
  const first = id.startsWith('b2') && (how.times ?? 1) === 1
  const built = buildsUp(move, { form, skill: plan.skill })
  const stepped = !built && (how.times ?? 1) === 1 && comesBack(move, form, ask, library, built)
  const cells = stepped
    ? ask.groups.reduce((now, group) => {
        const cell = oneStepOn(station, group, form, ask, library)
        return cell ? mapGroups(now, [group.id], () => cell) : now
      }, station.cells)
    : station.cells
  return {
    ...station,
    cells,
    ...(first ? skillMarks(move, plan) : {}),
    ...easierWords({ ...station, cells }, move, parts),
  }
}

const easierWords = (station: Station, move: Move, { ask, intent }: Parts): Partial<Station> =>
  asksMuch(station, move) ? { easier: pick(asEasier, luckOf(ask.seed, intent)(move.id, 60)) } : {}

/** So long moving wakes a body for these minutes: an eighth of them, from a minute and a half to three. */
const wantedWarmUp = (minutes: number): number => Math.min(180, Math.max(95, minutes * 7.5 + 5))
/** One thing is done for so long at most; what is more is done a step livelier after the skill. */
const longestPulse = 90
const inTens = (seconds: number): number => 10 * Math.ceil(seconds / 10)

/** What raises the pulse, calmly, and loosens; the skill, met easily; where the session is long, the first again a step livelier. */
export function warmUpBlock({ ask, library, plan, warmUp, intent }: Parts): Block {
  const luck = luckOf(ask.seed, intent)
  const held = heldRow({ ask, intent }, 'warmUp')
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
  const seconds = sessionSeconds(blocksAlone([{ ...newList('b1'), stations: others }], ask, library), library)
  const quickest = Math.min(...Object.values(seconds))
  const pulse = warmUp.filter(timed)
  const wanted = Math.max(40, inTens((wantedWarmUp(ask.minutes) - quickest) / Math.max(1, pulse.length)))
  const first = pulse.map(
    (move, i) => held.get(move.id) ?? forSeconds(`b1s${i + 1}`, move, Math.min(longestPulse, wanted), 'easiest'),
  )
  const again =
    pulse[0] && wanted > longestPulse
      ? [forSeconds('b1s3', pulse[0], Math.max(20, wanted - longestPulse), 'hardest')]
      : []
  const between =
    pulse[0] && hasLivelier(pulse[0], ask, library) && luck('between', 2) === 0
      ? [...again, ...others]
      : [...others, ...again]
  return { ...newList('b1'), stations: [...first, ...between] }
}

/** Whether a calm move can be done a step livelier and still be calm, by somebody. */
const hasLivelier = (move: Move, ask: DraftAsk, library: Library): boolean =>
  ask.groups.some(
    (g) => calmVersion(move, g, ask.home, library) !== versionsFor(move, ask.home, library, lowestGrade(g))[0],
  )

/** Blocks as a session of their own. */
export const blocksAlone = (
  blocks: Block[],
  { groups, home }: Pick<DraftAsk, 'groups' | 'home'>,
  library: Library,
): Workout => ({
  ...newWorkout('alone', [[0]], 5, library.version),
  groups: [...groups],
  home,
  sections: [{ id: 'p1', role: 'main', title: '', blocks }],
})

const heldRow = ({ ask, intent }: Pick<Parts, 'ask' | 'intent'>, part: DraftPart): Map<string, Station> =>
  new Map((ask.held?.[intent] ?? []).flatMap((r) => (r.part === part ? [[r.station.cells.all.move, r.station]] : [])))

/** One cue, two slow tries: easy first, then as each lane will do it. */
function taughtBlock(parts: Parts): Block {
  const { ask, library, plan } = parts
  const [first, then = first] = plan.skill.cues
  const slowly = (id: string, focus: string, easier: boolean): Station => {
    const station = { id, cells: rowCells(plan.skill, 'list', ask, library, { times: 0.5, slow: true, easier }), focus }
    return { ...station, ...easierWords(station, plan.skill, parts) }
  }
  return {
    ...newList('b5'),
    stations: [slowly('b5s1', first!, true), slowly('b5s2', then!, false)],
    restAfter: { all: 10 },
  }
}

/** Whether some lane works hard in the main part. */
const leavesBreathless = (main: readonly Move[], ask: DraftAsk, library: Library): boolean =>
  main.some((move) => ask.groups.some((g) => versionAtHome(move, g, ask.home, library).met >= limit('hardMet', 0)))

function coolDownBlock({ ask, library, main, warmUp, coolDown, breath, intent }: Parts): Block {
  const luck = luckOf(ask.seed, intent)
  const held = heldRow({ ask, intent }, 'coolDown')
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
  return { ...newList('b4'), stations }
}

/** What the parts between are called. */
const drinks = ['Drink', 'Water', 'A sip', 'Drink something'] as const
const slowly = ['Slowly first', 'Learn it', 'One good one', 'How it goes', 'Without hurry'] as const

/** Something to do with somebody, for who likes; said rarely, and only where somebody is there. */
const withSomebody = [
  'Whoever is at home may do a lap along.',
  'Somebody at home may count for you.',
  'Show somebody your best one.',
]

/** A draft as a session. */
export function buildDraft(parts: Parts, { main, second, game }: Sizing): Workout {
  const { ask, plan, intent, library } = parts
  const luck = luckOf(ask.seed, intent)
  const { story, title } = storyOf(parts)
  const words = skillWords[plan.skill.family]
  const titleOf = (titles: readonly string[], key: string) => pick(titles, luck(key, 60))
  const room = roomOf(ask)
  const base = newWorkout(
    title,
    ask.groups.map((g) => g.grades),
    ask.minutes,
    library.version,
  )
  const section = (
    id: string,
    role: Section['role'],
    named: string,
    blocks: Block[],
    more: Partial<Section> = {},
  ): Section => ({
    id,
    role,
    title: named,
    blocks,
    ...more,
  })
  const together = ask.home.company === 'together' && room.band > 0 && luck('somebody', 2) === 0
  // A sip before the game; between two main parts there is one anyway.
  const thirsty = !second && ask.minutes >= (ask.home.outdoors ? 14 : 18)
  const sections: Section[] = [
    section('p1', 'warmUp', titleOf(story.warmUp, 'warmUp'), [warmUpBlock(parts)]),
    ...(intent === 'learn' && ask.minutes >= 12
      ? [section('p5', 'skill', pick(slowly, luck('slowly', 60)), [taughtBlock(parts)])]
      : []),
    section(
      'p2',
      'main',
      titleOf(story.main, 'main'),
      [main],
      together ? { note: pick(withSomebody, luck('somebody line', 60)) } : {},
    ),
    ...(thirsty
      ? [
          section('p8', 'brief', pick(drinks, luck('drink', 60)), [
            { ...newTalk('b8'), seconds: { all: 20 + 5 * luck('sip', 5) } },
          ]),
        ]
      : []),
    ...(game ? [section('p6', 'game', titleOf(story.game, 'game'), [game])] : []),
    ...(second
      ? [
          section('p7', 'brief', pick(drinks, luck('drink', 60)), [
            { ...newTalk('b7'), seconds: { all: 30 + 10 * luck('sip', 3) } },
          ]),
          section('p3', 'main', titleOf(story.second, 'second'), [second]),
        ]
      : []),
    section('p4', 'coolDown', titleOf(story.coolDown, 'coolDown'), [coolDownBlock(parts)], {
      note: pick(words.ask, luck('ask', 60)),
    }),
  ]
  return {
    ...base,
    aim: { builds: [ask.aim], target: `We are learning to ${pick(words.learn, luck('learn', 60))}.`, words: [] },
    groups: [...ask.groups],
    home: ask.home,
    sections,
  }
}

/** A move that is a game, as the game of a session. */
export function gameBlock({ ask, library, plan }: Parts, move: Move, seconds: number): Block {
  const cells = mapGroups(rowCells(move, 'list', ask, library), 'all', (cell) => ({
    ...cell,
    dose: { unit: 'seconds' as const, amount: seconds },
  }))
  return {
    ...newList('b6'),
    note: `Each time it stops: ${plan.skill.name.toLowerCase()}, once.`,
    stations: [{ id: 'b6s1', cells }],
  }
}
