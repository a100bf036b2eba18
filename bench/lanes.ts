// All lanes of a session and their totals ÷ structuredClone of it, in one run: from scratch, and after an edit of one block. Goals: at most
// 4, and at most 1.
import { readFileSync } from 'node:fs'
import { indexLibrary, readSessionText, sessionView, type Session } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { rules } from '../core/src/checks/registry.ts'
import { checkView } from '../core/src/checks/view.ts'
import { ratio } from './ratio.ts'

const library = indexLibrary(libraryData)
const session = readSessionText(readFileSync('bench/sessions/sixty-stations.json', 'utf8'))
const steps = sessionView(session, library).flatMap(({ blocks }) => blocks.flatMap(({ timed }) => timed.steps)).length

/** The same session with one block recreated each time; everything else is shared with the previous one. */
const sections = session.sections
const edited = Array.from({ length: 1400 }, (_, i): Session => {
  const s = i % sections.length
  const section = sections[s]!
  const block = structuredClone(section.blocks[0]!)
  const changed = { ...section, blocks: [block, ...section.blocks.slice(1)] }
  return { ...session, sections: sections.with(s, changed) }
})

const view = checkView(session, library)
const looked = ratio(
  () => rules.map((rule) => rule.find(view)),
  () => structuredClone(session),
)
console.log(
  `all ${rules.length} rules ${looked.a.toFixed(3)} ms ÷ structuredClone: ${looked.ratios.median.toFixed(2)}  (the view apart; goal ≤ 10)`,
)

let next = 0
const cases: [string, () => unknown, number][] = [
  ['from nothing', () => sessionView(session, library, new WeakMap()), 4],
  ['after an edit of one block', () => sessionView(edited[next++ % edited.length]!, library), 1],
]
console.log(`all lanes of 60 stations × 6 groups (${steps} steps)`)
for (const [name, view, goal] of cases) {
  const { a, b, ratios } = ratio(view, () => structuredClone(session))
  const { low, median, high } = ratios
  console.log(
    `${name} ${a.toFixed(3)} ms ÷ structuredClone ${b.toFixed(3)} ms: ${median.toFixed(2)}` +
      `  (5 % to 95 %: ${low.toFixed(2)} to ${high.toFixed(2)}; goal ≤ ${goal})`,
  )
}
