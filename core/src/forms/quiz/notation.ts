import type { QuizBlock } from './schema.ts'
import type { FormNotation } from '../../notation/formNotation.ts'

/** `quiz`, then a line a question: `ask: What works? | *the calves | the neck | because: they lift the heels` */
export const quizNotation: FormNotation<QuizBlock> = {
  opens: /^quiz\b/i,
  facts: [],
  bare: 'quiz',
  lines: {
    read(line, block) {
      const match = /^ask\s*:\s?(.*)$/i.exec(line)
      if (!match || block.questions.length >= 8) return undefined
      const parts = match[1]!.split(' | ')
      const [ask, ...rest] = parts
      const last = rest.at(-1)
      const because = last !== undefined && /^because:/i.test(last) ? rest.pop()!.replace(/^because:\s?/i, '') : ''
      const right = rest.findIndex((a) => a.startsWith('*'))
      const answers = rest.map((a, i) => (i === right ? a.slice(1) : a))
      const whole = [ask ?? '', ...answers, because]
      if (!ask || right < 0 || answers.length < 2 || answers.length > 4) return undefined
      if (answers.some((a) => a === '') || whole.some((t) => t.length > 120)) return undefined
      return { ...block, questions: [...block.questions, { ask, answers, right, why: because }] }
    },
    print: (block) =>
      block.questions.map(({ ask, answers, right, why }) =>
        [
          `ask: ${ask}`,
          ...answers.map((a, i) => (i === right ? `*${a}` : a)),
          ...(why ? [`because: ${why}`] : []),
        ].join(' | '),
      ),
    /** A bar parts the answers, a star marks the right one, so the words themselves have neither. */
    strip: (block) => ({
      ...block,
      questions: block.questions.map((q) => ({
        ...q,
        ask: plain(q.ask),
        answers: q.answers.map(plain),
        why: q.why.trim() && plain(q.why),
      })),
    }),
  },
}

const plain = (text: string): string =>
  text
    .replaceAll(' | ', ' / ')
    .replace(/^(?:\*|because:)+/i, '')
    .trim() || '–'
