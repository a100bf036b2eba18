// Parsing a session of a hundred lines of whiteboard text ÷ JSON.parse of its document, in one run.
import { indexLibrary, readWorkoutText } from '@esfuerzo/core'
import { parse, print } from '@esfuerzo/core/notation'
import { libraryData } from '@esfuerzo/library'
import { readFileSync } from 'node:fs'
import { ratio } from './ratio.ts'

const library = indexLibrary(libraryData)
const sixty = readWorkoutText(readFileSync(new URL('sessions/sixty-stations.json', import.meta.url), 'utf8'))
const lines = print(sixty, library).split('\n')
const text = [...lines, ...Array.from({ length: Math.max(0, 100 - lines.length) }, () => 'squat 10')]
  .slice(0, 100)
  .join('\n')
const json = JSON.stringify(parse(text, library).workout)

const { a, b, ratios } = ratio(
  () => parse(text, library),
  () => JSON.parse(json),
)
console.log(`parse of ${text.split('\n').length} lines of whiteboard text: ${a.toFixed(3)} ms`)
console.log(`JSON.parse of its document:              ${b.toFixed(3)} ms`)
console.log(
  `parse ÷ JSON.parse: ${ratios.median.toFixed(0)}  (5 % to 95 %: ${ratios.low.toFixed(0)} to ${ratios.high.toFixed(0)})`,
)

// Time goes in proportion to the text: ten times the rows, about ten times the time.
const row = 'squat jump [K-1: frog jump] 10 reps; slow; 2 kg'
const block = (rows: number) => `## Main part\n${`${row}\n`.repeat(rows)}`
const [short, long] = [block(30), block(300)]
const growth = ratio(
  () => parse(long, library),
  () => parse(short, library),
)
console.log(`parse of 300 rows ÷ parse of 30 rows: ${growth.ratios.median.toFixed(1)}  (10 is in proportion)`)
const wide = (stretches: number) => `## Main part\n${`${row}, `.repeat(stretches)}${'['.repeat(stretches)}`
const [few, many] = [wide(10), wide(100)]
const width = ratio(
  () => parse(many, library),
  () => parse(few, library),
)
console.log(`parse of one line of 100 stretches ÷ one of 10: ${width.ratios.median.toFixed(1)}  (10 is in proportion)`)
