import { readFacts } from './facts.ts'
import { groupLabels } from './groups.ts'
import type { Item } from './item.ts'

/** Groups with what holds for each: `Y1/2: 20 s, KS2: 30 s`. */
export function readLegend(text: string, line: number, alone: boolean): Item[] | undefined {
  const labels = groupLabels(text, alone)
  if (!labels.length || /\p{L}/u.test(text.slice(0, labels[0]!.at).replace(/\breps?\b/gi, ''))) return undefined
  const common = readFacts(text.slice(0, labels[0]!.at).replace(/[(:]\s*$/, ''), false)
  const entries = labels.map((label, i) => {
    const part = text
      .slice(label.end, labels[i + 1]?.at)
      .replace(/^\s*[:=–-]?\s*/, '')
      .replace(/[),;.\s]+$/, '')
    return { label, part }
  })
  // "… 5º-6º: 40''. Rest 15''": what stands behind a full stop is for all.
  const last = entries.at(-1)!
  const stop = /[.;]\s+(?=\p{L})/u.exec(last.part)
  const forAll = stop ? last.part.slice(stop.index + stop[0].length) : ''
  if (stop) last.part = last.part.slice(0, stop.index)
  const read = entries.map(({ label, part }) => ({ label, ...readFacts(part, false) }))
  const rest = readFacts(forAll, false)
  if (read.some((r) => !r.any || r.strange.length) || rest.strange.length) return undefined
  const legend: Item = {
    line,
    kind: 'legend',
    entries: read.map(({ label, facts }) => ({ label, facts })),
    facts: { ...rest.facts, ...common.facts },
  }
  return [...(read.some((r) => r.facts.pick) ? [{ line, kind: 'note', text } as Item] : []), legend]
}
