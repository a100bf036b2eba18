import { traitsOf } from '../session/formTraits.ts'
import { utf8Length } from '../base/utf8Length.ts'
import { fetchList } from '../home/fetchList.ts'
import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { ProblemError } from '../base/problem.ts'
import { versionFor } from '../library/versionFor.ts'
import { defaultPace } from '../timing/pace.ts'
import { addSpan, noTime } from '../timing/span.ts'
import { laneProblems, timeline } from '../timing/timeline.ts'
import { stationsOf, type Block } from '../session/forms.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import type { Move } from '../terms/move.ts'
import type { Step } from '../timing/step.ts'
import { limits } from '../base/limits.ts'
import { valueFor } from '../terms/perGroup.ts'
import type { Session } from '../session/schema.ts'
import { careCodes } from '../words/care.ts'
import { ourPhrases } from '../words/ourPhrases.ts'
import { partTitle } from '../words/parts.ts'
import type { Phrases } from '../terms/language.ts'
import { playOf } from './playOf.ts'
import type { Play, PlayedTurn } from './playSchema.ts'
import {
  publicationFormat,
  publishedMeasureSchema,
  type Publication,
  type PublishedMeasure,
  type PublishedMove,
} from './schema.ts'

/**
 * Makes what families are sent: the session without the teacher's notes, its exercises, figures, pace and computed steps. A station,
 * exercise or version is included only if some lane does it; a link or note never is.
 *
 * @param schoolNote a line of the school's own
 * @throws {ProblemError} `too-small` if no lane has anything to do; `too-many` if a lane has too many steps; `too-big` if the result is too
 *   large to send; `unknown-move` and `unknown-version`
 */
export function publish(session: Session, ours: Library, schoolNote = ''): Publication {
  const library = libraryFor(session, ours)
  const used: UsedVersions = new Map()
  const blocks = session.sections.flatMap((s) => s.blocks)
  const timed = session.groups.map((group) => {
    const pace = defaultPace(group)
    return { group, pace, steps: timeline(session, group.id, library, pace) }
  })
  const problems = timed.flatMap(({ group, steps }) => laneProblems(session, group, steps))
  if (problems.length) throw new ProblemError(problems)
  const lanes = timed.map((lane) => publishedLane(lane, blocks, library, used))
  if (used.size === 0) {
    throw new ProblemError([
      { code: 'too-small', path: ['sections'], expected: { rule: 'someMove' }, received: { is: 'nothing' } },
    ])
  }

  const measures = publishedMeasures(blocks, library)
  const figures = new Set(measures.map((m) => m.figure))
  const moves = [...used].map(([id, shown]) => publishedMove(library.moves.get(id)!, shown))
  for (const { versions } of moves) for (const { figure } of versions) figures.add(figure)

  const kit = fetchList(session, library).map(({ kit, name, standIns, standIn, ask, optional }) => ({
    id: kit,
    name,
    standIns,
    ...(standIn && { standIn }),
    ...(ask && { ask }),
    ...(optional && { optional }),
  }))

  return sendable({
    format: publicationFormat,
    version: 1,
    title: session.title,
    target: session.aim.target,
    words: session.aim.words,
    home: { space: session.home.space, quiet: session.home.quiet, company: session.home.company },
    kit,
    care: careCodes.filter((code) => code !== 'adultNear' || session.groups.some((g) => lowestGrade(g) <= 2)),
    ...(session.asksMoved && { asksMoved: true }),
    ...(schoolNote && { schoolNote }),
    sections: session.sections.map(({ id, role, title, surprise, blocks }) => ({
      id,
      role,
      title,
      ...(surprise && { surprise }),
      blocks: blocks.map((block) => ({
        id: block.id,
        ...(block.title && { title: block.title }),
        stations: stationsOf(block).map(({ id, focus, record, note, easier, harder }) => ({
          id,
          ...(focus && { focus }),
          ...(record && { record }),
          ...(note && { note }),
          ...(easier && { easier }),
          ...(harder && { harder }),
        })),
      })),
    })),
    lanes,
    moves,
    ...(measures.length && { measures }),
    figures: [...figures].flatMap((id) => library.figures.get(id) ?? []),
    phrases: phrasesOf(
      library.words,
      [...moves.flatMap(textsOfMove), ...measures.flatMap(textsOfMeasure), ...kit.flatMap(textsOfKit)],
      textsOfSession(session),
    ),
  })
}

/** Versions that some lane does or may choose, by exercise. */
type UsedVersions = Map<string, Set<string>>

/** A group's lane; the versions it uses are added to those in use. */
function publishedLane(
  { group, pace, steps }: { group: Group; pace: number; steps: Step[] },
  blocks: readonly Block[],
  library: Library,
  used: UsedVersions,
) {
  const use = (move: string, version: string) =>
    void (used.get(move) ?? used.set(move, new Set()).get(move)!).add(version)
  const choices: Record<string, string> = {}
  const loads = Object.fromEntries(
    blocks
      .flatMap((b) => stationsOf(b))
      .flatMap(({ id, cells }) => {
        const kg = valueFor(cells, group.id).load?.kg
        return kg === undefined ? [] : [[id, kg]]
      }),
  )
  const plays = Object.fromEntries(
    blocks.flatMap((block) => {
      const play = playOf(block, group, library)
      return play ? [[block.id, play]] : []
    }),
  )
  for (const turn of Object.values(plays).flatMap(turnsOf)) use(turn.move, turn.version)
  for (const step of steps) {
    // Alternatives a child may choose are named too.
    for (const id of step.say.params.oneOf ?? []) {
      const move = library.moves.get(id)
      if (!move) continue
      choices[id] = versionFor(move, group).id
      use(id, choices[id])
    }
    if (step.move && step.version) use(step.move, step.version)
  }
  const seconds = steps.reduce((sum, step) => addSpan(sum, step.seconds), noTime)
  const { id, letter, name, grades } = group
  return { id, letter, name, grades, pace, seconds, steps, choices, loads, plays }
}

/** An exercise as families get it. @param shown the versions that somebody does */
function publishedMove(move: Move, shown: ReadonlySet<string>): PublishedMove {
  // A child may always switch to an easier one. The standard version names the exercise even if nobody does it.
  const hardest = move.versions.findLastIndex((v) => shown.has(v.id))
  const versions = move.versions
    .filter((v, i) => i <= hardest || v.id === move.standard)
    .map(({ id, name, how, secondsPerRep, figure = move.figure }) => ({ id, name, how, secondsPerRep, figure }))
  const { id, name, standard, cues, cautions } = move
  const adult = move.adult || move.versions.some((v) => v.adult && shown.has(v.id))
  return { id, name, standard, cues, cautions, ...(adult && { adult }), versions }
}

/** The tests of a session for families, without what only a teacher reads. */
function publishedMeasures(blocks: readonly Block[], library: Library): PublishedMeasure[] {
  const tests = blocks.flatMap((b) => [traitsOf(b).measured?.(b).test, b.betweenLaps].filter((t) => t !== undefined))
  return [...new Set(tests)].map((test) => publishedMeasureSchema.parse(library.measures.get(test)))
}

/** @throws {ProblemError} `too-big` */
function sendable(publication: Publication): Publication {
  const bytes = utf8Length(JSON.stringify(publication))
  if (bytes <= limits.sentBytes) return publication
  const expected = { atMost: limits.sentBytes >> 20, of: 'MiB' } as const
  const received = { count: Math.round((10 * bytes) / 2 ** 20) / 10, of: 'MiB' } as const
  throw new ProblemError([{ code: 'too-big', path: [], expected, received }])
}

/** The rows of what is played. */
const turnsOf = (play: Play): PlayedTurn[] => {
  if ('turns' in play) return play.turns
  if ('table' in play) return play.table.flatMap((face) => face.turns)
  return 'onMiss' in play && play.onMiss ? [play.onMiss] : []
}

const textsOfMove = (m: PublishedMove) => [
  m.name,
  ...m.cues,
  ...m.cautions,
  ...m.versions.flatMap((v) => [v.name, v.how]),
]
const textsOfMeasure = (m: PublishedMeasure) => [
  m.name,
  m.practice ?? '',
  m.in,
  ...m.setUps.flatMap((s) => [s.name, s.how]),
  ...m.steps,
  m.ends,
  ...m.cautions,
]
const textsOfKit = (k: Publication['kit'][number]) => [k.name, ...k.standIns, k.standIn ?? '', k.ask ?? '']

/** A session's own words; some of them are ours. */
const textsOfSession = ({ sections }: Session) =>
  sections.flatMap((section) => [
    // A title that equals its part's name is shown in the family's language without a phrase.
    partTitle(section, 'es') === section.title ? section.title : '',
    ...section.blocks.flatMap((block) => [
      block.title ?? '',
      ...stationsOf(block).flatMap(({ note = '', easier = '', harder = '' }) => [note, easier, harder]),
    ]),
  ])

/** Of all the library's texts in other languages, those of a session, and of the session's own those that are ours. */
function phrasesOf(words: Phrases | undefined, texts: string[], hers: string[]): Publication['phrases'] {
  const es = words?.es
  const ours = ourPhrases(hers).es
  if (!es) return Object.keys(ours).length ? { es: ours } : {}
  const found = [...new Set(texts)].flatMap((text) => (es[text] ? [[text, es[text]] as const] : []))
  return { es: { ...Object.fromEntries(found), ...ours } }
}
