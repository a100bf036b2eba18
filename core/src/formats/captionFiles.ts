import type { Caption } from '../cues/captions.ts'

/** Seconds as hours, minutes, seconds and thousandths. @param point the sign before the thousandths */
function stamp(seconds: number, point: '.' | ','): string {
  const ms = Math.round(seconds * 1000)
  const two = (n: number) => String(Math.floor(n)).padStart(2, '0')
  const [h, m, s] = [ms / 3_600_000, (ms / 60_000) % 60, (ms / 1000) % 60]
  return `${two(h)}:${two(m)}:${two(s)}${point}${String(ms % 1000).padStart(3, '0')}`
}

/** A caption's text as one block: without empty lines, and without an arrow that would read as a time. */
const block = (text: string) =>
  text
    .replace(/\n\s*\n+/g, '\n')
    .replaceAll('-->', '→')
    .trim()

/**
 * Captions as WebVTT (W3C, "WebVTT: The Web Video Text Tracks Format"), to go with a film.
 *
 * @param title not displayed; for a reader who opens the file
 * @example webVtt([{ at: 0, until: 1.5, text: 'Squat' }], 'Springs') // 'WEBVTT - Springs\n\n1\n00:00:00.000 --> …'
 */
export function webVtt(captions: readonly Caption[], title: string): string {
  // In WebVTT, & and < start an escape or a tag.
  const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')
  const cues = captions.map(
    ({ at, until, text }, i) => `${i + 1}\n${stamp(at, '.')} --> ${stamp(until, '.')}\n${escaped(block(text))}\n`,
  )
  return [`WEBVTT - ${block(title).replaceAll('\n', ' ')}\n`, ...cues].join('\n')
}

/**
 * Captions as SubRip, which most players read: numbered, with a comma before the milliseconds.
 *
 * @example subRip([{ at: 0, until: 1.5, text: 'Squat' }]) // '1\n00:00:00,000 --> 00:00:01,500\nSquat\n'
 */
export const subRip = (captions: readonly Caption[]): string =>
  captions
    .map(({ at, until, text }, i) => `${i + 1}\n${stamp(at, ',')} --> ${stamp(until, ',')}\n${block(text)}\n`)
    .join('\n')
