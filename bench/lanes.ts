// Recompute of all lanes ÷ structuredClone of the session, in one run. Goal: at most 5.
import { readFileSync } from 'node:fs'
import { indexLibrary, readWorkoutText, timeline, totals } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { ratio } from './ratio.ts'

const library = indexLibrary(libraryData)
const workout = readWorkoutText(readFileSync(new URL('sessions/sixty-stations.json', import.meta.url), 'utf8'))

const allLanes = () => workout.groups.map((group) => totals(timeline(workout, group.id, library), group, library))
const steps = workout.groups.reduce((n, g) => n + timeline(workout, g.id, library).length, 0)

const { a, b, ratios } = ratio(allLanes, () => structuredClone(workout))
console.log(`all lanes of 60 stations × 6 groups (${steps} steps): ${a.toFixed(3)} ms`)
console.log(`structuredClone of the session:                    ${b.toFixed(3)} ms`)
console.log(
  `all lanes ÷ structuredClone: ${ratios.median.toFixed(2)}  (5 % to 95 %: ${ratios.low.toFixed(2)} to ${ratios.high.toFixed(2)}; goal ≤ 5)`,
)
