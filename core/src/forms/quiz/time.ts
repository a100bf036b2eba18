import type { QuizBlock } from './schema.ts'
import { defaultOf } from '../../timing/defaults.ts'
import { clocked } from '../../timing/span.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** One question after the other. */
export function timeQuiz(block: QuizBlock, steps: StepBuilder): void {
  block.questions.forEach(({ ask, answers, right, why }, i) => {
    const params = { title: ask, text: [...answers, `→ ${answers[right]}. ${why}`.trim()].join('\n'), n: i + 1 }
    steps.tell('talk', 'clock', clocked(defaultOf('question')), { code: 'quiz.question', params })
  })
}
