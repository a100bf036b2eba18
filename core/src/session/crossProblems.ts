import type { Problem } from '../base/problem.ts'
import { limits } from '../base/limits.ts'
import { looksPerGroup } from '../terms/perGroup.ts'

type Bag = Record<string, unknown>
const isBag = (v: unknown): v is Bag => v !== null && typeof v === 'object' && !Array.isArray(v)
const listOf = (v: unknown): unknown[] => (Array.isArray(v) ? v : [])

/**
 * Mistakes between parts of a session: groups that do not exist, duplicate ids, too much of anything. It reads unknown data and never
 * throws, so that a file with a misspelled key and an unknown group gets both reported at once.
 *
 * @param input data that claims to be a session, of any shape
 */
export function crossProblems(input: unknown): Problem[] {
  if (!isBag(input)) return []
  const problems: Problem[] = []
  const groups = listOf(input.groups)
  const groupIds = new Set(groups.filter(isBag).map((g) => g.id))

  const seen = new Map<string, Set<unknown>>()
  const once = (kind: string, value: unknown, path: Problem['path']) => {
    const values = seen.get(kind) ?? seen.set(kind, new Set()).get(kind)!
    if (typeof value === 'string' && values.has(value)) {
      problems.push({ code: 'duplicate-id', path, received: value, expected: { rule: 'oneOnly' } })
    }
    values.add(value)
  }
  groups.forEach((group, i) => {
    if (!isBag(group)) return
    once('group id', group.id, ['groups', i, 'id'])
    once('group letter', group.letter, ['groups', i, 'letter'])
  })

  let blocks = 0
  let stations = 0
  listOf(input.sections).forEach((section, i) => {
    if (!isBag(section)) return
    once('section id', section.id, ['sections', i, 'id'])
    listOf(section.blocks).forEach((block, j) => {
      if (!isBag(block)) return
      blocks++
      once('block id', block.id, ['sections', i, 'blocks', j, 'id'])
      listOf(block.stations).forEach((station, k) => {
        stations++
        if (isBag(station)) once('station id', station.id, ['sections', i, 'blocks', j, 'stations', k, 'id'])
      })
    })
  })
  if (blocks > limits.blocks) {
    problems.push({
      code: 'too-many',
      path: ['sections'],
      expected: { atMost: limits.blocks, of: 'blocks' },
      received: { count: blocks, of: 'blocks' },
    })
  }
  if (stations > limits.stations) {
    problems.push({
      code: 'too-many',
      path: ['sections'],
      expected: { atMost: limits.stations, of: 'stations' },
      received: { count: stations, of: 'stations' },
    })
  }

  const walk = (value: unknown, path: Problem['path'], depth: number) => {
    if (value === null || typeof value !== 'object' || depth > 12) return
    if (looksPerGroup(value) && isBag(value.by)) {
      for (const id of Object.keys(value.by)) {
        if (!groupIds.has(id)) {
          problems.push({
            code: 'unknown-group',
            path: [...path, 'by', id],
            received: id,
            expected: { oneOf: [...groupIds].map(String) },
          })
        }
      }
    }
    for (const [key, inner] of Object.entries(value)) {
      walk(inner, [...path, Array.isArray(value) ? Number(key) : key], depth + 1)
    }
  }
  walk(input.sections, ['sections'], 0)
  return problems
}
