import type { TargetBlock } from './schema.ts'
import { countFact, fact, forAll } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'

type Targets = TargetBlock['targets']
const one = /^(\d{1,2}(?:\.\d+)?)\s*m\s*(?:=|for)\s*(\d{1,2})$/i

function readTargets(text: string): Targets | undefined {
  const list = text.replace(/^targets?\s*/i, '').split(/\s*(?:\+|&|\band\b)\s*/i)
  const targets = list.map((t) => {
    const match = one.exec(t.trim())
    return match && { metres: Number(match[1]), points: Number(match[2]) }
  })
  if (targets.some((t) => !t || t.metres < 0.5 || t.metres > 10 || t.points < 1 || t.points > 20)) return undefined
  return targets.length <= 8 ? (targets as Targets) : undefined
}

/** `target 1 m = 1 and 2 m = 2, 5 throws, 3 rounds` */
export const targetNotation: FormNotation<TargetBlock> = {
  opens: /^targets?\b/i,
  facts: [
    fact<TargetBlock, Targets>({
      id: 'targets',
      get: (b) => forAll(b.targets),
      set: (b, value) => (value ? { ...b, targets: value.all } : b),
      read: readTargets,
      print: (targets) => `target ${targets.map((t) => `${t.metres} m = ${t.points}`).join(' and ')}`,
    }),
    countFact<TargetBlock>('throws', { word: 'throw', words: 'throws?' }),
    countFact<TargetBlock>('rounds', { word: 'round', words: 'rounds?' }),
  ],
}
