import type { Session } from '../session/schema.ts'
import { buildsSchema, type Builds } from '../terms/builds.ts'
import type { Space } from '../terms/space.ts'
import type { Group } from '../terms/group.ts'

import { plainMarks } from './plainMarks.ts'
import { printGroup, readGroups } from './groupsText.ts'

/** The lines before the first section. */
export interface DetailsWords {
  minutes?: number
  groups?: Group[]
  space?: Space
  quiet?: true
  together?: true
  outdoors?: true
  finishTogether?: true
  builds?: Builds[]
}

const words = (id: string) => id.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`)
const buildsOf = (text: string): Builds[] | undefined => {
  const read = text
    .split(/,|\band\b/i)
    .map((w) => buildsSchema.options.find((b) => words(b) === w.trim().toLowerCase()))
  return read.every((b) => b !== undefined) ? (read as Builds[]) : undefined
}
const spaceWords: [RegExp, Space][] = [
  [/^(?:a )?spot$/i, 'spot'],
  [/^(?:a )?mat(?:['’]?s length)?$/i, 'mat'],
  [/^(?:a few )?steps$/i, 'steps'],
  [/^(?:room to )?run$/i, 'run'],
]

/**
 * One fact of a details line.
 *
 * @returns undefined if the text is not a fact
 * @example readDetail('minutes 22') // { minutes: 22 }
 */
export function readDetail(text: string): DetailsWords | undefined {
  const plain = plainMarks(text).trim()
  const minutes = /^(?:minutes?\s*:?\s*(\d{1,3})|(\d{1,3})\s*min(?:ute)?s?)$/i.exec(plain)
  if (minutes) {
    const n = Number(minutes[1] ?? minutes[2])
    return n >= 1 && n <= 120 ? { minutes: n } : undefined
  }
  const groups = /^(?:groups?|lanes?|for grades?)\s*:?\s+(.+)$/i.exec(plain)
  if (groups) {
    // Names are unchanged, marks and all: plain marks have the same length.
    const read = readGroups(text.trim().slice(-groups[1]!.length))
    return read && { groups: read }
  }
  const space = /^(?:space|floor)\s*:?\s+(.+)$/i.exec(plain)
  const wanted = spaceWords.find(([pattern]) => pattern.test(space ? space[1]! : plain))
  if (wanted && (space || plain !== 'run')) return { space: wanted[1] }
  const aim = /^(?:aim|builds)\s*:?\s+(.+)$/i.exec(plain)
  if (aim) {
    const builds = buildsOf(aim[1]!)
    return builds && { builds: [...new Set(builds)] }
  }
  if (/^quiet(?: floor| feet)?$/i.test(plain)) return { quiet: true }
  if (/^(?:with somebody|not alone)$/i.test(plain)) return { together: true }
  if (/^outdoors?$/i.test(plain)) return { outdoors: true }
  if (/^(?:finish|end) together$/i.test(plain)) return { finishTogether: true }
  return undefined
}

/** The lines between the title and the first section. @param w without what a text can't say */
export function printDetails(w: Session): string[] {
  const facts = [
    `minutes ${w.minutes}`,
    `groups ${w.groups.map(printGroup).join(', ')}`,
    `space ${w.home.space}`,
    ...(w.home.quiet ? ['quiet'] : []),
    ...(w.home.company === 'together' ? ['with somebody'] : []),
    ...(w.home.outdoors ? ['outdoors'] : []),
    ...(w.finishTogether ? ['finish together'] : []),
    ...(w.aim.builds.length ? [`aim ${w.aim.builds.map(words).join(', ')}`] : []),
  ]
  return [facts.join('; '), ...(w.aim.target ? w.aim.target.split('\n').map((line) => `target: ${line}`) : [])]
}

/** `target: We are learning to …` */
export const targetLine = /^(?:target|we are learning)\s*:\s?(.*)$/i
