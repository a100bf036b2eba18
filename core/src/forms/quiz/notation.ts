import type { QuizBlock } from './schema.ts'
import type { FormNotation } from '../../notation/formNotation.ts'

/** `quiz`, then one line per question: `ask: What works? | *the calves | the neck | because: they lift the heels` */
export const quizNotation: FormNotation<QuizBlock> = {
  opens: /^quiz\b/i,
  facts: [],
  bare: 'quiz',
  lines: {
    read(line, block) {
      const match = /^ask\s*:\s?(.*)$/i.exec(line)
      if (!match || block.questions.length >= 8) return undefined
      const [first, ...rest] = betweenBars(match[1]!)
      const ask = first === undefined ? undefined : opened(first)
      const last = rest.at(-1)
      const because =
        last !== undefined && /^because:/i.test(last) ? opened(rest.pop()!.replace(/^because:\s?/i, '')) : ''
      const right = rest.findIndex((a) => a.startsWith('*'))
      const answers = rest.map((a, i) => opened(i === right ? a.slice(1) : a))
      const whole = [ask ?? '', ...answers, because]
      if (!ask || right < 0 || answers.length < 2 || answers.length > 4) return undefined
      if (answers.some((a) => a === '') || whole.some((t) => t.length > 120)) return undefined
      return { ...block, questions: [...block.questions, { ask, answers, right, why: because }] }
    },
    print: (block) =>
      block.questions.map(({ ask, answers, right, why }) =>
        [
          `ask: ${closed(ask)}`,
          ...answers.map((a, i) => `${i === right ? '*' : ''}${closed(a)}`),
          ...(why ? [`because: ${closed(why)}`] : []),
        ].join(' | '),
      ),
    strip: (block) => block,
  },
}

/** A text in quotes if its own marks or spaces would be misread: a bar separates the answers, a star marks the right one. */
const closed = (text: string): string =>
  /[|"]|^\*|^because:|^\s|\s$|^$/i.test(text) ? `"${text.replace(/["\\]/g, '\\$&')}"` : text
const opened = (text: string): string =>
  /^".*"$/.test(text) && text.length > 1 ? text.slice(1, -1).replace(/\\(["\\])/g, '$1') : text

/** A line's parts between bars; bars in quotes separate nothing. */
const betweenBars = (line: string): string[] =>
  [...line.matchAll(/((?:\*|because:\s?)?"(?:\\.|[^"\\])*"|.*?)(?: \| |$)/gi)]
    .map((m) => m[1]!)
    .filter((part, i) => part !== '' || i === 0)
