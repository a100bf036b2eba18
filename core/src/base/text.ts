import { z } from 'zod'
import { rule } from './problem.ts'
import { limits } from './limits.ts'

// C0 and C1 controls, and the two separators that some readers treat as line breaks.
const control = /[\u0000-\u001f\u007f-\u009f\u2028\u2029]/
const controlButBreaks = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u2028\u2029]/

const text = (max: number, forbidden: RegExp) =>
  z
    .string()
    .max(max)
    .normalize('NFC')
    .refine((s) => s.isWellFormed() && !forbidden.test(s), {
      params: { code: 'bad-text' },
      error: rule('cleanText'),
    })

/** One line of text in Unicode NFC, well formed, without control characters. */
export const lineSchema = text(limits.line, control)

/** Text that may have line breaks and tabs. */
export const paragraphSchema = text(limits.paragraph, controlButBreaks)

/**
 * Cleans typed or pasted text for storage: NFC, without broken surrogates and control characters, cut to length without splitting a
 * character.
 *
 * @param kind `line` turns breaks into spaces; `paragraph` keeps them
 * @example cleanText('a\u0007b\nc', 'line') // 'ab c'
 */
export function cleanText(typed: string, kind: 'line' | 'paragraph'): string {
  const max = kind === 'line' ? limits.line : limits.paragraph
  const broken =
    kind === 'line' ? typed.replace(/[\r\n\t\u2028\u2029]+/g, ' ') : typed.replace(/\r\n?|\u2028|\u2029/g, '\n')
  const allowed = broken
    .replace(/\p{Surrogate}/gu, '')
    .replace(/[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/g, '')
    .normalize('NFC')
  if (allowed.length <= max) return allowed
  const cut = allowed.slice(0, max)
  return cut.isWellFormed() ? cut : cut.slice(0, -1)
}
