// Parsing a session of a hundred lines of whiteboard text ÷ JSON.parse of its document, in one run.
import { indexLibrary, readSessionText } from '@esfuerzo/core'
import { parse, print, readText } from '@esfuerzo/core/notation'
import { libraryData } from '@esfuerzo/library'
import { readdirSync, readFileSync } from 'node:fs'
import { misread, namesRead, textsOf } from '../core/test/support/textsRead.ts'
import { ratio } from './ratio.ts'

const library = indexLibrary(libraryData)
const sixty = readSessionText(readFileSync(new URL('sessions/sixty-stations.json', import.meta.url), 'utf8'))
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

// A hundred lines as teachers write them, a different text each time, so that no cache helps.
const folder = new URL('../core/test/fixtures/texts/', import.meta.url)
const free = readdirSync(folder)
  .filter((file) => file.endsWith('.txt'))
  .flatMap((file) => readFileSync(new URL(file, folder), 'utf8').split('\n'))
  .filter((line) => line.trim())
  .slice(0, 100)
const freeJson = JSON.stringify(readText(free.join('\n'), library).workout)
let texts = 0
const freely = ratio(
  () => readText([...free, `Text ${++texts}`].join('\n'), library),
  () => JSON.parse(freeJson),
)
console.log(`reading of ${free.length} lines as teachers write them: ${freely.a.toFixed(1)} ms`)
console.log(`reading ÷ JSON.parse of its document: ${freely.ratios.median.toFixed(0)}  (goal ≤ 40)`)

// Of texts as teachers write them: how many are read completely. Of everyday names: how many are right, asked about, or wrong without a
// question.
const whole = textsOf('texts').map(([, text, expected]) => misread(text, expected).length === 0)
console.log(`texts read whole: ${whole.filter(Boolean).length} of ${whole.length}  (goal ≥ 28 of 30)`)
const { right, asked, known, wrong } = namesRead()
const all = right + asked + wrong.length
const share = (n: number) => `${Math.round((n / all) * 100)} %`
console.log(
  `${all} everyday names: ${share(right)} right, ${share(asked)} asked about, ${wrong.length} wrong in silence; of the ${known} the library has ${Math.round((right / known) * 100)} % right  (goal ≥ 97 % right or asked, none wrong)`,
)

// Time grows in proportion to the text: ten times the rows take about ten times as long.
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
