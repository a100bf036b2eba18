import { parseArgs } from 'node:util'
import { problemText, ProblemError } from '@esfuerzo/core'
import { readingOf, type Question } from '@esfuerzo/core/notation'
import { arrangeCommand } from './arrangeCommand.ts'
import { checkCommand } from './checkCommand.ts'
import { draftCommand, draftOptions } from './draftCommand.ts'
import { fitCommand } from './fitCommand.ts'
import { notationCommand } from './notationCommand.ts'
import { readFileText } from './readFileText.ts'
import type { Asked } from './readSession.ts'
import { spreadCommand } from './spreadCommand.ts'
import { timelineCommand } from './timelineCommand.ts'

const usage = `Usage: npm run -s core -- timeline FILE [--group ID]
       npm run -s core -- notation FILE [--to json|text]
       npm run -s core -- fit FILE [--fill]
       npm run -s core -- arrange FILE --block ID
       npm run -s core -- spread FILE [--children N]
       npm run -s core -- check FILE
       npm run -s core -- draft [--aim AIM] [--minutes N] [--groups K-1,2-3] [--space SPACE] [--quiet] [--alone] [--outdoors]
                                [--kit THING,…] [--intent learn|work|play] [--seed N]

  timeline   prints the steps and seconds of every group as JSON
  notation   turns any text into JSON, or JSON into whiteboard text (--to json|text)
  fit        prints the smallest change so that every group ends in time, as JSON; --fill fills a short session
  arrange    prints the best order of a block's stations and what it saves, as JSON
  spread     prints when children finish and the results of chance, as JSON
  check      prints the checks (fix, advice, tip) as JSON
  draft      prints three different sessions as whiteboard text; another seed gives other sessions

FILE is a session as JSON, a text in a teacher's own style (docs/notation.md), or a plan as .docx, .odt, .pdf, .xlsx, .csv, .html, .md;
if it has several sessions, --session N chooses one. Open questions go to standard error as
"question LINE:COLUMN KIND WORDS: ANSWERS"; with --strict they are errors.`

/** The commands: what each prints for a file's text. */
const commands: Record<string, (text: string, options: Options, asked: Asked) => string> = {
  timeline: (text, { group }, asked) => json(timelineCommand(text, asked, group)),
  notation: (text, { to }, asked) => notationCommand(text, asked, to),
  fit: (text, { fill }, asked) => json(fitCommand(text, asked, fill)),
  arrange: (text, { block }, asked) => json(arrangeCommand(text, asked, block)),
  spread: (text, { children }, asked) => json(spreadCommand(text, asked, children)),
  check: (text, _, asked) => json(checkCommand(text, asked)),
}
interface Options {
  group?: string
  fill?: boolean
  block?: string
  children?: string
  to?: string
}
const json = (value: unknown) => JSON.stringify(value, null, 2)

/** @example 'question 3:1 name "PU": push-up | own | note' */
const questionText = ({ line, column, kind, received, answers }: Question): string =>
  `question ${line}:${column} ${kind} "${received}": ${answers.map(readingOf).join(' | ')}`

/** Where a command's words go. */
export interface Streams {
  out: (text: string) => void
  err: (text: string) => void
}

/**
 * Runs one command of the core on files.
 *
 * @param argv the arguments after the program's name
 * @param streams results go to `out`, problems to `err`
 * @returns the exit code: 0, or 2 if an argument or the file is wrong
 */
export async function main(argv: readonly string[], { out, err }: Streams): Promise<number> {
  try {
    const { values, positionals } = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        group: { type: 'string' },
        fill: { type: 'boolean' },
        block: { type: 'string' },
        children: { type: 'string' },
        to: { type: 'string' },
        session: { type: 'string', default: '1' },
        strict: { type: 'boolean' },
        ...draftOptions,
      },
    })
    const [command = '', file] = positionals
    if (command === 'draft' && !file) {
      out(draftCommand(values, err))
      return 0
    }
    if (!file || !Object.hasOwn(commands, command)) {
      err(usage)
      return 2
    }
    const questions: Question[] = []
    const text = await readFileText(file, Number(values.session), err)
    const answer = commands[command]!(text, values, (question) => questions.push(question))
    questions.forEach((question) => err(questionText(question)))
    if (values.strict && questions.length) return 2
    out(answer)
    return 0
  } catch (error) {
    if (error instanceof ProblemError) {
      for (const problem of error.problems) err(problemText(problem))
    } else {
      err((error as Error).message)
    }
    return 2
  }
}
