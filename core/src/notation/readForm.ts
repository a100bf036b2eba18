import { goesOnPairs } from './pair.ts'
import { newBlock, forms, type Block } from '../session/forms.ts'
import { blockAsRead } from './blockAsRead.ts'
import type { Group } from '../terms/group.ts'
import { canonical, type PerGroup } from '../terms/perGroup.ts'
import type { Dose } from '../terms/dose.ts'
import type { Fact } from './facts.ts'
import { readDose } from './dose.ts'
import { notationOf } from './formNotations.ts'
import { groupsOf } from './groupsText.ts'
import { plainMarks } from './plainMarks.ts'
import { segments, type Segment } from './segments.ts'
import { textProblem, type TextProblem } from './textProblem.ts'

/** What a line that starts a block says. */
export interface OpenedBlock {
  block: Block
  /** An amount for every row without its own: `hold 20 s`. */
  common?: PerGroup<Dose>
  problems: TextProblem[]
}

/** Consecutive pairs of work and rest are one fact: one pair per lap. */
function joinedPairs(list: Segment[]): Segment[] {
  const joined: Segment[] = []
  for (const segment of list) {
    const last = joined.at(-1)
    if (last && last.own.length === 0 && goesOnPairs(last.base.text, segment.base.text)) {
      joined[joined.length - 1] = {
        base: { text: `${last.base.text}, ${segment.base.text}`, at: last.base.at },
        own: segment.own,
      }
    } else joined.push(segment)
  }
  return joined
}

const holdPattern = /^(?:hold|each)\s+(.+)$/i

/**
 * Reads the line that starts a block.
 *
 * @param line its line number, from 1
 * @returns undefined if the line does not start a block
 */
export function readFormLine(
  text: string,
  groups: readonly Group[],
  id: string,
  line: number,
): OpenedBlock | undefined {
  const list = joinedPairs(segments(plainMarks(text), ',;·'))
  const [first] = list
  if (!first) return undefined
  const hold = holdPattern.exec(first.base.text)
  const held = hold && readDose(hold[1]!, 'seconds')
  if (held && !/^each/i.test(first.base.text)) return heldList(list, held, groups, id, line)
  for (const form of forms) {
    const notation = notationOf(form)
    if (!notation.opens.test(first.base.text)) continue
    if (notation.bare)
      return list.length === 1 && first.base.text.toLowerCase() === notation.bare
        ? { block: blockAsRead(form, id), problems: [] }
        : undefined
    if (!readFacts(first.base.text, notation.facts)) continue
    return withFacts(blockAsRead(form, id), notation.facts, list, groups, line)
  }
  return undefined
}

function withFacts(
  start: Block,
  facts: Fact<Block>[],
  list: Segment[],
  groups: readonly Group[],
  line: number,
): OpenedBlock {
  let block = start
  const problems: TextProblem[] = []
  for (const { base, own } of list) {
    const known = readFacts(base.text, facts)
    if (!known) {
      const at = { line, column: base.at + 1, length: Math.max(1, base.text.length) }
      problems.push(textProblem('unread', at, { received: base.text }))
      continue
    }
    for (const { f, all } of known.slice(0, -1)) block = f.set(block, { all })
    const { f, all } = known.at(-1)!
    const by: Record<string, unknown> = {}
    for (const { group, says } of own) {
      const ids = groupsOf(group.text, groups)
      const value = f.read(says.text, all)
      if (ids.length === 0 || value === undefined) {
        const wrong = ids.length === 0 ? group : says
        const at = { line, column: wrong.at + 1, length: Math.max(1, wrong.text.length) }
        problems.push(textProblem(ids.length === 0 ? 'unknown-group' : 'unread', at, { received: wrong.text }))
        continue
      }
      for (const groupId of ids) by[groupId] = value
    }
    block = f.set(block, canonical({ all, by: Object.keys(by).length ? by : undefined }))
  }
  return { block, problems }
}

/** A longer stretch of words is not two facts without a comma. */
const mostWords = 12

/** The fact in a stretch of words, or the two facts in it without a comma between: `ladder 10-20 by 5`. */
function readFacts(text: string, facts: Fact<Block>[]): { f: Fact<Block>; all: unknown }[] | undefined {
  const one = (words: string) =>
    facts.map((f) => ({ f, all: f.read(words, undefined) })).find(({ all }) => all !== undefined)
  const whole = one(text)
  if (whole) return [whole]
  const words = text.split(/\s+/)
  if (words.length > mostWords) return undefined
  for (let i = words.length - 1; i > 0; i--) {
    const [first, second] = [one(words.slice(0, i).join(' ')), one(words.slice(i).join(' '))]
    if (first && second && first.f !== second.f) return [first, second]
  }
  return undefined
}

/** `hold 20 s [K-1: 10 s]`: a list whose rows are all held that long. */
function heldList(list: Segment[], held: Dose, groups: readonly Group[], id: string, line: number): OpenedBlock {
  const [first, ...rest] = list
  const opened = withFacts(newBlock.list(id), notationOf('list').facts, rest, groups, line)
  const by: Record<string, Dose> = {}
  for (const { group, says } of first!.own) {
    const dose = readDose(says.text, 'seconds')
    const ids = groupsOf(group.text, groups)
    if (!dose || ids.length === 0) {
      const at = { line, column: says.at + 1, length: Math.max(1, says.text.length) }
      opened.problems.push(
        textProblem(ids.length ? 'unread' : 'unknown-group', at, { received: says.text || group.text }),
      )
    } else for (const groupId of ids) by[groupId] = dose
  }
  return { ...opened, common: canonical({ all: held, by: Object.keys(by).length ? by : undefined }) }
}
