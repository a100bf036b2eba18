import { cleanText } from '../base/text.ts'
import { isKept, type Role, type Section } from '../session/schema.ts'

type Head = Pick<Section, 'role' | 'title' | 'keep' | 'surprise' | 'minutes'>

const minutesMark = /^(\d{1,3}) ?min(?:ute)?s?$/i

const roleWords: Record<Role, [print: string, words: RegExp, inTitle: RegExp]> = {
  brief: ['brief', /^(?:brief|briefing)$/i, /\b(?:brief|briefing|before we start)\b/i],
  warmUp: ['warm-up', /^warm[- ]?up$/i, /\bwarm[- ]?up\b/i],
  skill: ['skill', /^skills?$/i, /\bskills?\b/i],
  game: ['game', /^games?$/i, /\bgames?\b/i],
  coolDown: ['cool-down', /^cool[- ]?down$/i, /\bcool[- ]?down\b/i],
  challenge: ['challenge', /^challenge$/i, /\bchallenge\b/i],
  test: ['test', /^tests?$/i, /\b(?:fitness )?tests?\b/i],
  main: ['main', /^main(?: part)?$/i, /\bmain part\b/i],
}
const rolesInOrder = Object.keys(roleWords) as Role[]

/** The part a title says, otherwise the main part. */
export const roleInTitle = (title: string): Role => rolesInOrder.find((r) => roleWords[r][2].test(title)) ?? 'main'

/** A section's head without what a text can't say: spaces around its title, default marks. */
export function stripHead({ role, title, keep, surprise, minutes }: Head): Head {
  const kept = isKept({ role, keep })
  return {
    role,
    title: title.trim(),
    ...(kept !== isKept({ role }) && { keep: kept }),
    ...(surprise && { surprise }),
    ...(minutes !== undefined && { minutes }),
  }
}

/** @param head stripped */
export function printHead({ role, title, keep, surprise, minutes }: Head): string {
  const marks = [
    ...(roleInTitle(title) === role && !/\)$/.test(title) && title !== '' ? [] : [roleWords[role][0]]),
    ...(minutes === undefined ? [] : [`${minutes} min`]),
    ...(keep === undefined ? [] : [keep ? 'keep' : 'may be cut']),
    ...(surprise ? ['surprise'] : []),
  ]
  // A title that ends with a bracket is closed by an extra one with a meaning.
  const closing = marks.length || !/\)$/.test(title) ? marks : [roleWords[role][0]]
  return `## ${[title, ...(closing.length ? [`(${closing.join(', ')})`] : [])].filter(Boolean).join(' ')}`
}

/** Reads what follows `##`, of any length: after its marks are removed, the title is cut to a line's length. */
export function readHead(text: string): Head {
  const match = /^(.*?)\s*\(([^()]*)\)$/.exec(text.trim())
  const words = match?.[2]!.split(',').map((w) => w.trim()) ?? []
  const head: Partial<Head> = {}
  const known = words.every((word) => {
    const role = rolesInOrder.find((r) => roleWords[r][1].test(word))
    const minutes = Number(minutesMark.exec(word)?.[1])
    if (minutes >= 1 && minutes <= 120) head.minutes = minutes
    else if (role) head.role ??= role
    else if (/^(?:keep|kept)$/i.test(word)) head.keep = true
    else if (/^may be cut$/i.test(word)) head.keep = false
    else if (/^surprise$/i.test(word)) head.surprise = true
    else return false
    return true
  })
  const title = cleanText(known && match ? match[1]! : text, 'line').trim()
  const { role = roleInTitle(title), ...marks } = known && match ? head : {}
  return stripHead({ role, title, ...marks })
}
