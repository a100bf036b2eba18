import { goesOnPairs } from './pair.ts'
import { mapGroups, valueFor, type Scope } from '../terms/perGroup.ts'
import type { Block, BlockOf, Form } from '../session/forms.ts'
import type { Fact } from './facts.ts'
import type { FormNotation } from './formNotation.ts'
import { amrapNotation } from '../forms/amrap/notation.ts'
import { callsNotation } from '../forms/calls/notation.ts'
import { chanceNotation } from '../forms/chance/notation.ts'
import { gameNotation } from '../forms/game/notation.ts'
import { intervalsNotation } from '../forms/intervals/notation.ts'
import { ladderNotation } from '../forms/ladder/notation.ts'
import { levelsNotation } from '../forms/levels/notation.ts'
import { listNotation } from '../forms/list/notation.ts'
import { measureNotation } from '../forms/measure/notation.ts'
import { quizNotation } from '../forms/quiz/notation.ts'
import { roundsNotation } from '../forms/rounds/notation.ts'
import { relayNotation } from '../forms/relay/notation.ts'
import { setsNotation } from '../forms/sets/notation.ts'
import { sumsNotation } from '../forms/sums/notation.ts'
import { talkNotation } from '../forms/talk/notation.ts'
import { targetNotation } from '../forms/target/notation.ts'
import { plainMarks } from './plainMarks.ts'
import { segments } from './segments.ts'

/** The notation file of each form. */
export const formNotations: { [F in Form]: FormNotation<BlockOf<F>> } = {
  talk: talkNotation,
  list: listNotation,
  intervals: intervalsNotation,
  rounds: roundsNotation,
  sets: setsNotation,
  relay: relayNotation,
  amrap: amrapNotation,
  ladder: ladderNotation,
  chance: chanceNotation,
  calls: callsNotation,
  sums: sumsNotation,
  levels: levelsNotation,
  target: targetNotation,
  game: gameNotation,
  measure: measureNotation,
  quiz: quizNotation,
}

/** The notation of any block's form. */
export const notationOf = (form: Form): FormNotation<Block> => formNotations[form] as unknown as FormNotation<Block>

/** The facts of any block's form. */
export const factsOf = (block: Block): Fact<Block>[] => notationOf(block.form).facts

/** A line's facts: consecutive pairs of work and rest are one fact. */
export function factTexts(line: string): string[] {
  const texts: string[] = []
  for (const { base } of segments(plainMarks(line), ',;·')) {
    if (goesOnPairs(texts.at(-1) ?? '', base.text)) texts.push(`${texts.pop()}, ${base.text}`)
    else texts.push(base.text)
  }
  return texts
}

/**
 * One group's cell of a block's row as text: its facts, without brackets.
 *
 * @example printBlockFor(circuit, 'g2') // '3 laps 30/25, lap rest 60 s'
 */
export const printBlockFor = (block: Block, groupId: string): string =>
  factsOf(block)
    .flatMap((f) => {
      const value = f.get(block)
      if (!value) return []
      const own = valueFor(value, groupId)
      return f.silent?.(own) ? [] : [f.print(own)]
    })
    .join(', ')

/**
 * A block changed to what a text says for some groups; facts it does not mention stay.
 *
 * @returns the block, or the words that could not be read
 * @example readBlockFor(circuit, ['g2'], '4 laps 20/10') // { block: … }
 */
export function readBlockFor(block: Block, scope: Scope, text: string): { block: Block } | { unread: string } {
  const facts = factsOf(block)
  let next = block
  for (const words of factTexts(text)) {
    const said = facts
      .map((f) => {
        const now = f.get(next)
        const base = now && (scope === 'all' ? now.all : valueFor(now, scope[0]!))
        return { f, now, value: f.read(words, base) }
      })
      .find(({ value }) => value !== undefined)
    if (!said) return { unread: words }
    const { f, now, value } = said
    next = f.set(next, now ? mapGroups(now, scope, () => value) : { all: value })
  }
  return { block: next }
}
