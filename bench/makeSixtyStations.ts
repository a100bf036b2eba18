// Writes bench/sessions/sixty-stations.json, the committed session that the benchmarks use. Run it only to change that session.
import { writeFileSync } from 'node:fs'
import { cellsFor } from '../core/src/library/cellsFor.ts'
import {
  addBlock,
  addSection,
  addStation,
  indexLibrary,
  mapGroups,
  newSession,
  readSession,
  setBlock,
  stationsOf,
} from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'

const library = indexLibrary(libraryData)
const moves = [...library.moves.values()]
let session = newSession('Sixty stations for six groups', [[0], [1], [2], [3], [4], [5, 6]], 90, library.version)
for (let i = 0; i < 3; i++)
  session = addSection(session, { role: 'main', title: `Circuit ${i + 2}`, form: 'intervals' }, 'p2')
session = addBlock(session, 'p2', 'talk')
const blocks = session.sections.flatMap((s) => s.blocks).filter((b) => b.form !== 'talk')
for (let i = 0; i < 60; i++) {
  const block = blocks[i % blocks.length]!
  session = addStation(session, block.id, cellsFor(moves[(i * 7) % moves.length]!, session.groups, block.form))
}
for (const block of blocks) {
  if (block.form === 'intervals') {
    session = setBlock(session, block.id, 'intervals', (b) => ({
      ...b,
      laps: mapGroups(b.laps, ['g1', 'g2'], (laps) => laps.map((lap) => ({ ...lap, work: 20 }))),
    }))
  }
}
const count = session.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b)).length
if (count !== 60) throw new Error(`makeSixtyStations: expected 60 stations, got ${count}`)
writeFileSync(
  new URL('sessions/sixty-stations.json', import.meta.url),
  `${JSON.stringify(readSession(session), null, 1)}\n`,
)
