import { buildsSchema, newSession, spaceSchema, type Builds, type Space, type Session } from '@esfuerzo/core'
import type { DraftAsk } from '@esfuerzo/core/draft'
import { bandOf } from '../../src/checks/limits.ts'
import { seededRandom } from '../../src/distribution/seededRandom.ts'
import type { Library } from '../../src/library/library.ts'
import { stationsOf } from '../../src/session/forms.ts'

/** Classes as schools have them. */
const classes = [
  [[0, 1]],
  [[2, 3]],
  [[4, 5, 6]],
  [[0], [1]],
  [
    [2, 3],
    [4, 5, 6],
  ],
  [
    [0, 1],
    [2, 3],
  ],
  [
    [0, 1],
    [2, 3],
    [4, 5, 6],
  ],
  [
    [0, 1],
    [2, 3],
    [4, 5, 6],
  ],
]
export const six = [[0], [1], [2], [3], [4], [5, 6]]

/** A draft request from its parts; by default the home is a typical one. */
export function askOf(
  library: Library,
  {
    aim,
    minutes,
    grades,
    seed = 1,
    space = 'mat',
    quiet = false,
    company = 'together',
    kit = [],
    recent = [],
    known = new Set(),
  }: {
    aim: Builds
    minutes: number
    grades: number[][]
    seed?: number
    space?: Space
    quiet?: boolean
    company?: 'alone' | 'together'
    kit?: string[]
    recent?: Session[]
    known?: ReadonlySet<string>
  },
): DraftAsk {
  const base = newSession('Asked', grades, minutes, library.version)
  const home = { ...base.home, space, quiet, company, kit }
  return { aim, minutes, groups: base.groups, home, recent, known, seed }
}

const movesOf = (session: Session): string[] =>
  session.sections
    .flatMap((s) => s.blocks)
    .flatMap(stationsOf)
    .flatMap(({ cells }) => [cells.all, ...Object.values(cells.by ?? {})].map((c) => c.move))

/**
 * Random conditions: any aim, any class, any home; half of them for teachers with earlier sessions, whose classes know most exercises.
 *
 * @param past sessions the last two are taken from
 */
export function randomAsks(
  library: Library,
  past: readonly Session[],
  count: number,
  [fewest, most]: readonly [number, number],
): DraftAsk[] {
  const random = seededRandom(20)
  const below = (n: number) => Math.floor(random() * n)
  const any = <T>(list: readonly T[]): T => list[below(list.length)]!
  return Array.from({ length: count }, (_, seed) => {
    const grades = any(classes)
    // Her last two sessions were for the same children.
    const hers = past.filter((w) => bandOf(w.groups.flatMap((g) => g.grades)) === bandOf(grades.flat()))
    const recent = hers.length > 0 && random() < 0.5 ? [any(hers), any(hers)] : []
    const known = recent.length
      ? new Set([...recent.flatMap(movesOf), ...[...library.moves.keys()].filter(() => random() < 0.7)])
      : new Set<string>()
    return askOf(library, {
      aim: any(buildsSchema.options),
      minutes: fewest + below(most - fewest + 1),
      grades,
      seed,
      space: any(spaceSchema.options),
      quiet: random() < 0.5,
      company: random() < 0.5 ? 'alone' : 'together',
      kit: random() < 0.3 ? ['soft-ball', 'band'] : [],
      recent,
      known,
    })
  })
}

/** The corner cases: minutes, floor, quiet, equipment, company, one or six groups. */
export const cornerAsks = (library: Library): DraftAsk[] =>
  [8, 12, 20, 45].flatMap((minutes) =>
    (['spot', 'mat'] as const).flatMap((space) =>
      [false, true].flatMap((quiet) =>
        [[], ['soft-ball', 'band', 'rope']].flatMap((kit) =>
          (['alone', 'together'] as const).flatMap((company) =>
            [[[2, 3]], six].flatMap((grades, i) =>
              // Equipment makes no difference for a child alone with six groups: 96 corners, not 128.
              i === 1 && kit.length && company === 'alone'
                ? []
                : [
                    askOf(library, {
                      aim: (['strength', 'endurance', 'balance'] as const)[(minutes + kit.length) % 3]!,
                      minutes,
                      grades,
                      space,
                      quiet,
                      company,
                      kit: kit.filter((k) => library.kit.has(k)),
                    }),
                  ],
            ),
          ),
        ),
      ),
    ),
  )
