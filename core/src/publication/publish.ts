import { fetchList } from '../home/fetchList.ts'
import { libraryFor } from '../moves/carryMoves.ts'
import type { Library } from '../moves/library.ts'
import { ProblemError } from '../problem.ts'
import { defaultPace } from '../timing/pace.ts'
import { addSpan, noTime } from '../timing/span.ts'
import { timeline } from '../timing/timeline.ts'
import { stationsOf } from '../workout/forms/index.ts'
import { lowestGrade } from '../workout/group.ts'
import type { Workout } from '../workout/schema.ts'
import { publicationFormat, type Publication } from './schema.ts'

/** Codes of the care every family page carries; an adult is asked to be near for K–2. */
export const careCodes = ['space', 'shoes', 'water', 'medicine', 'stop', 'adultNear', 'schoolFirst'] as const

/**
 * What families are sent: the session without the teacher's notes, its moves, figures, pace and computed steps.
 * A station, move or version is in it only where some lane does it; a link or note never is.
 *
 * @param schoolNote a line of the school's own
 * @throws {ProblemError} `too-small` where a lane has nothing to do; `unknown-move` and `unknown-version`
 */
export function publish(workout: Workout, ours: Library, schoolNote = ''): Publication {
  const library = libraryFor(workout, ours)
  const used = new Map<string, Set<string>>()
  const lanes = workout.groups.map((group) => {
    const pace = defaultPace(group)
    const steps = timeline(workout, group.id, library, pace)
    for (const step of steps) {
      // What a child may do instead is named too.
      for (const id of step.say.params.oneOf ?? []) {
        const standard = library.moves.get(id)?.standard
        if (standard) (used.get(id) ?? used.set(id, new Set()).get(id)!).add(standard)
      }
      if (!step.move || !step.version) continue
      const versions = used.get(step.move) ?? used.set(step.move, new Set()).get(step.move)!
      versions.add(step.version)
    }
    const seconds = steps.reduce((sum, step) => addSpan(sum, step.seconds), noTime)
    const { id, letter, name, grades } = group
    return { id, letter, name, grades, pace, seconds, steps }
  })
  if (used.size === 0) {
    throw new ProblemError([{ code: 'too-small', path: ['sections'], expected: 'at least one move', received: 'none' }])
  }

  const figures = new Set<string>()
  const moves = [...used].map(([id, shown]) => {
    const move = library.moves.get(id)!
    // The standard version names the move even where nobody does it.
    const versions = move.versions
      .filter((v) => shown.has(v.id) || v.id === move.standard)
      .map((v) => {
        const figure = v.figure ?? move.figure
        figures.add(figure)
        return { id: v.id, name: v.name, how: v.how, secondsPerRep: v.secondsPerRep, figure }
      })
    const { name, standard, cues, cautions, adult } = move
    return { id, name, standard, cues, cautions, ...(adult && { adult }), versions }
  })

  return {
    format: publicationFormat,
    version: 1,
    title: workout.title,
    target: workout.aim.target,
    words: workout.aim.words,
    home: { space: workout.home.space, quiet: workout.home.quiet, company: workout.home.company },
    kit: fetchList(workout, library).map(({ kit, name, standIns, standIn, ask, optional }) => ({
      id: kit,
      name,
      standIns,
      ...(standIn && { standIn }),
      ...(ask && { ask }),
      ...(optional && { optional }),
    })),
    care: careCodes.filter((code) => code !== 'adultNear' || workout.groups.some((g) => lowestGrade(g) <= 2)),
    ...(schoolNote && { schoolNote }),
    sections: workout.sections.map(({ id, role, title, surprise, blocks }) => ({
      id,
      role,
      title,
      ...(surprise && { surprise }),
      blocks: blocks.map((block) => ({
        id: block.id,
        ...(block.title && { title: block.title }),
        stations: stationsOf(block).map(({ id, focus, record }) => ({
          id,
          ...(focus && { focus }),
          ...(record && { record }),
        })),
      })),
    })),
    lanes,
    moves,
    figures: [...figures].flatMap((id) => library.figures.get(id) ?? []),
  }
}
