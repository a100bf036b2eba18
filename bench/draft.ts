// Three drafts as a teacher waits for them, and suggestions for one place, beside checking one session in the same run.
import { checkSession } from '@esfuerzo/core/checks'
import { draftFor, intents, type DraftAsk } from '@esfuerzo/core/draft'
import { suggested, suggestFor, suggestProblem } from '@esfuerzo/core/suggest'
import { beginnings } from '@esfuerzo/library'
import { parse } from '@esfuerzo/core/notation'
import { library } from '../core/test/sessions.ts'
import { randomAsks } from '../core/test/support/draftAsks.ts'
import { times } from './times.ts'

const past = beginnings.map(({ text }) => parse(text, library).workout)
const asks = randomAsks(library, past, 40, [12, 25])
/**
 * Milliseconds from the request to the first and to the third draft; each draft is improved further if its first answer was not the best.
 */
function drafted(ask: DraftAsk): [first: number, third: number] {
  const start = performance.now()
  const besides: string[] = []
  let shown = 0
  const after = intents.map((intent) => {
    const quick = draftFor(intent, ask, library, { besides: [...besides], quick: true })
    if (intent === intents[0]) shown = performance.now() - start
    const draft = quick?.settled ? quick : draftFor(intent, ask, library, { besides: [...besides] })
    if (draft) besides.push(draft.thread.move)
    return performance.now() - start
  })
  return [shown, after.at(-1)!]
}
const at = (list: readonly number[], share: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(share * list.length))]!
asks.slice(0, 3).forEach(drafted)
const waits = asks.map(drafted)
const check = times(40, (i) => checkSession(past[i % past.length]!, library)).median
for (const [i, name, goal] of [
  [0, 'first', 1500],
  [1, 'third', 5000],
] as const) {
  const list = waits.map((w) => w[i])
  const [median, slow] = [at(list, 0.5), at(list, 0.95)]
  console.log(
    `${name} draft of ${asks.length} conditions: median ${median.toFixed(0)} ms, 95 %: ${slow.toFixed(0)} ms, ÷ a check ${(median / check).toFixed(0)} and ${(slow / check).toFixed(0)}  (goal ≤ ${goal} ms)`,
  )
}

const context = { lately: new Set<never>(), known: new Set(library.moves.keys()) }
const places = past.flatMap((session) => suggestFor.map((place) => ({ workout: session, place })))
const { median, slow } = times(places.length, (i) => {
  const { workout: session, place } = places[i]!
  return suggested(suggestProblem(session, place, 4, context, library))
})
console.log(
  `four suggestions for ${places.length} places: median ${median.toFixed(0)} ms, 95 %: ${slow.toFixed(0)} ms, ÷ a check ${(median / check).toFixed(0)} and ${(slow / check).toFixed(0)}  (goal ≤ 300 ms)`,
)
