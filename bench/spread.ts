// Ten thousand simulated children ÷ ten thousand timelines, over the demo's Storm-day springs and its card session.
import { indexLibrary, timeline } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { simulate } from '@esfuerzo/core/tools'
import { libraryData } from '@esfuerzo/library'
import { readFileSync } from 'node:fs'
import { times } from './times.ts'

const library = indexLibrary(libraryData)
for (const name of ['storm-day-springs', 'smugglers-cards']) {
  const { workout: session } = parse(
    readFileSync(new URL(`../server/demo/${name}.txt`, import.meta.url), 'utf8'),
    library,
  )
  const group = session.groups[0]!
  const children = times(5, () => simulate(session, group, library, { children: 10_000 }), 1).median
  // Measures a tenth of them and multiplies by ten, because ten thousand timelines take long.
  const timelines =
    10 * times(3, () => Array.from({ length: 1000 }, () => timeline(session, group.id, library).length), 1).median
  console.log(
    `10 000 children ÷ 10 000 timelines, ${session.title}: ${(children / timelines).toFixed(3)}  (${children.toFixed(0)} ms ÷ ${timelines.toFixed(0)} ms)`,
  )
}
