/** A line without what only decorates it. */
export interface Bare {
  text: string
  /** Where `text` begins in the line, from 0. */
  at: number
  /** It stands in a list: a bullet, a number, a tick. */
  listed: boolean
  /** `A1`, `B2`: sets that alternate. */
  pair?: string
}

const bullet = /^(?:[•·▪▸►‣◦○●■□✓✔☐☑→➔*]|[-–—](?=\s)|\p{Extended_Pictographic}\uFE0F?)\s*/u
/** A letter or number before a line; "10 squats" is none, and a bare number is one only among others that run on. */
const numbered = /^(?:\d{1,2}[.)](?!\d)|\d{1,2}\s?[-–](?=\s?\p{L})|[a-h]\)|\(\d{1,2}\))\s*/u
const paired = /^([A-E])([1-4])[.):]?\s+(?=\p{L})/u
const station = /^(?:st(?:atio)?n|exercise|ex|activity)\.?\s?\d{1,2}\s*[-–:.)]\s*/iu
const emphasis = /^[*_]{1,3}|[*_]{1,3}$/g

/** Takes bullets, numbering, emoji and emphasis off the front of a line, and emoji and emphasis off its end. */
export function bareLine(line: string): Bare {
  const end = line
    .trimEnd()
    .replace(/(?:\s*(?:\p{Extended_Pictographic}\uFE0F?|\u200d))+$/u, '')
    .trimEnd()
  let at = end.length - end.trimStart().length
  let listed = false
  let pair: string | undefined
  for (let more = true; more;) {
    more = false
    const text = end.slice(at)
    for (const mark of [bullet, station, numbered]) {
      const match = mark.exec(text)
      if (!match || match[0].length === text.length) continue
      at += match[0].length
      listed = more = true
      break
    }
    const lettered = !pair && paired.exec(text)
    if (!more && lettered) {
      pair = lettered[1]
      at += lettered[0].length
      listed = true
    }
  }
  const text = end.slice(at)
  const plain = text.replace(emphasis, (m) => ' '.repeat(m.length))
  const lead = plain.length - plain.trimStart().length
  return { text: plain.trim(), at: at + lead, listed, ...(pair && { pair }) }
}
