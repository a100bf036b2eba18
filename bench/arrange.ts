// The exact order of 13 and of 16 stations, with real exercises in laps, and of 12 beside a MIP solver package.
import { orderStations } from '../core/src/arrange/orderStations.ts'
import { seededRandom } from '../core/src/distribution/seededRandom.ts'
import { cellsFor } from '../core/src/library/cellsFor.ts'
import { indexLibrary, newSession, type Session } from '@esfuerzo/core'
import { arrange } from '@esfuerzo/core/tools'
import { libraryData } from '@esfuerzo/library'
import highsLoader from 'highs'
import { orderLp, randomOrder } from '../core/test/support/orderInstances.ts'
import { times } from './times.ts'

const library = indexLibrary(libraryData)
const moves = [...library.moves.values()].filter((m) => m.measures.includes('seconds'))

/** Three laps over this many exercises drawn from the library, for three groups. */
function circuit(seed: number, stations: number): Session {
  const random = seededRandom(seed)
  const left = [...moves]
  const drawn = () => left.splice(Math.floor(random() * left.length), 1)[0]!
  const base = newSession(
    'Order',
    [
      [0, 1],
      [2, 3],
      [4, 5, 6],
    ],
    30,
    library.version,
  )
  return {
    ...base,
    sections: [
      {
        id: 'p1',
        role: 'main',
        title: 'Main part',
        blocks: [
          {
            id: 'b1',
            form: 'intervals',
            laps: { all: [1, 2, 3].map(() => ({ work: 30, rest: 30 })) },
            stations: Array.from({ length: stations }, (_, i) => ({
              id: `s${i}`,
              cells: cellsFor(drawn(), base.groups, 'intervals'),
            })),
          },
        ],
      },
    ],
  }
}

for (const [n, goal] of [
  [13, 50],
  [16, 300],
] as const) {
  const sessions = Array.from({ length: 24 }, (_, i) => circuit(100 + i, n))
  const { median, slow } = times(sessions.length, (i) => arrange(sessions[i]!, 'b1', library))
  console.log(
    `arrange ${n} stations, 3 groups: median ${median.toFixed(1)} ms, 95 %: ${slow.toFixed(1)} ms  (goal ≤ ${goal})`,
  )
}

const highs = await highsLoader()
const ratios = Array.from({ length: 20 }, (_, i) => {
  const problem = randomOrder(6000 + i, 12, false)
  const ours = times(5, () => orderStations(problem), 1).median
  const start = performance.now()
  const answer = highs.solve(orderLp(problem), { mip_rel_gap: 0 })
  const theirs = performance.now() - start
  if (Math.round(answer.ObjectiveValue) !== orderStations(problem).cost)
    throw new Error(`another optimum, seed ${6000 + i}`)
  return ours / theirs
}).sort((a, b) => a - b)
console.log(
  `arrange 12 ÷ MIP solver, 20 instances: median ${ratios[10]!.toFixed(4)} (1 : ${(1 / ratios[10]!).toFixed(0)})`,
)
