// Writes bench/sessions/sixty-stations.json: the committed session the benches measure with. Run only to change it.
import { writeFileSync } from 'node:fs'
import { cellsFor } from '../core/src/library/cellsFor.ts'
import {
  addBlock,
  addSection,
  addStation,
  indexLibrary,
  mapGroups,
  newWorkout,
  readWorkout,
  setBlock,
  stationsOf,
} from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'

const library = indexLibrary(libraryData)
const moves = [...library.moves.values()]
let workout = newWorkout('Sixty stations for six groups', [[0], [1], [2], [3], [4], [5, 6]], 90, library.version)
for (let i = 0; i < 3; i++)
  workout = addSection(workout, { role: 'main', title: `Circuit ${i + 2}`, form: 'intervals' }, 'p2')
workout = addBlock(workout, 'p2', 'talk')
const blocks = workout.sections.flatMap((s) => s.blocks).filter((b) => b.form !== 'talk')
for (let i = 0; i < 60; i++) {
  const block = blocks[i % blocks.length]!
  workout = addStation(workout, block.id, cellsFor(moves[(i * 7) % moves.length]!, workout.groups, block.form))
}
for (const block of blocks) {
  if (block.form === 'intervals') {
    workout = setBlock(workout, block.id, 'intervals', (b) => ({
      ...b,
      laps: mapGroups(b.laps, ['g1', 'g2'], (laps) => laps.map((lap) => ({ ...lap, work: 20 }))),
    }))
  }
}
const count = workout.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b)).length
if (count !== 60) throw new Error(`makeSixtyStations: expected 60 stations, got ${count}`)
writeFileSync(
  new URL('sessions/sixty-stations.json', import.meta.url),
  `${JSON.stringify(readWorkout(workout), null, 1)}\n`,
)
