/** *A form of work*: `wait`, in which nothing is done for a while. */
export const form = {
  title: 'a form of work',
  follow({ write, add, run, compile }) {
    const folder = 'core/src/forms/wait'
    write(
      `${folder}/schema.ts`,
      `import { z } from 'zod'
import { perGroupSchema } from '../../terms/perGroup.ts'
import { blockFields, secondsSchema } from '../../session/blockParts.ts'

export const waitSchema = z.strictObject({ ...blockFields, form: z.literal('wait'), seconds: perGroupSchema(secondsSchema) })
export interface WaitBlock extends z.infer<typeof waitSchema> {}
export const newWait = (id: string): WaitBlock => ({ id, form: 'wait', seconds: { all: 20 } })
`,
    )
    write(
      `${folder}/traits.ts`,
      `import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { WaitBlock } from './schema.ts'

export const waitTraits: FormTraits<WaitBlock> = { ...plainTraits }
`,
    )
    write(
      `${folder}/time.ts`,
      `import type { StepBuilder } from '../../timing/stepBuilder.ts'
import type { WaitBlock } from './schema.ts'

export const timeWait = (block: WaitBlock, steps: StepBuilder): void => steps.talk(steps.valueFor(block.seconds), block.title)
`,
    )
    write(
      `${folder}/notation.ts`,
      `import { fact, printSeconds, secondsOf, secondsPattern } from '../../notation/facts.ts'
import type { FormNotation } from '../../notation/formNotation.ts'
import type { WaitBlock } from './schema.ts'

const words = new RegExp(\`^(?:wait\\\\s+)?\${secondsPattern}$\`, 'i')

export const waitNotation: FormNotation<WaitBlock> = {
  opens: /^wait\\b/i,
  facts: [
    fact<WaitBlock, number>({
      id: 'seconds',
      field: { kind: 'seconds', min: 0, step: 5 },
      get: (b) => b.seconds,
      set: (b, seconds) => (seconds ? { ...b, seconds } : b),
      read: (text) => {
        const match = words.exec(text)
        return match ? secondsOf(match[1]!, match[2]) : undefined
      },
      print: (n, base) => (base === undefined ? \`wait \${printSeconds(n)}\` : printSeconds(n)),
    }),
  ],
}
`,
    )
    add(
      'core/src/session/forms.ts',
      "from '../forms/talk/schema.ts'",
      "import { newWait, waitSchema, type WaitBlock } from '../forms/wait/schema.ts'",
    )
    add('core/src/session/forms.ts', '  talkSchema,', '  waitSchema,')
    add('core/src/session/forms.ts', '  | TalkBlock', '  | WaitBlock')
    add('core/src/session/forms.ts', '  talk: newTalk,', '  wait: newWait,')
    add(
      'core/src/session/formTraits.ts',
      "from '../forms/talk/traits.ts'",
      "import { waitTraits } from '../forms/wait/traits.ts'",
    )
    add('core/src/session/formTraits.ts', '  talk: talkTraits,', '  wait: waitTraits,')
    add(
      'core/src/timing/formTimes.ts',
      "from '../forms/talk/time.ts'",
      "import { timeWait } from '../forms/wait/time.ts'",
    )
    add('core/src/timing/formTimes.ts', '  talk: timeTalk,', '  wait: timeWait,')
    add(
      'core/src/notation/formNotations.ts',
      "from '../forms/talk/notation.ts'",
      "import { waitNotation } from '../forms/wait/notation.ts'",
    )
    add('core/src/notation/formNotations.ts', '  talk: talkNotation,', '  wait: waitNotation,')
    write(
      'web/src/forms/wait/labels.en.ts',
      `import type { FormLabels } from '../labels.ts'

export const waitLabels: FormLabels = { name: 'Wait', about: 'stand still', row: 'wait', facts: { seconds: 'Seconds' } }
`,
    )
    add('web/src/forms/labels.en.ts', "from './talk/labels.en.ts'", "import { waitLabels } from './wait/labels.en.ts'")
    add('web/src/forms/labels.en.ts', '  talk: talkLabels,', '  wait: waitLabels,')
    add('web/src/forms/editors.ts', '  talk: TalkEditor,', '  wait: FactFields,')
    add(
      'core/test/arbitraries.ts',
      "    talk: fc.record({ form: fc.constant('talk')",
      "    wait: fc.record({ form: fc.constant('wait'), seconds: per(seconds) }),",
    )
    add('core/test/support/plainTimes.ts', "      case 'talk':", "      case 'wait':")
    add('web/test/playerForms.test.ts', /^const \w+: Record<Form, /, "  wait: ['wait 20 s', /20/],")
    write(
      'core/test/wait.test.ts',
      `import { expect, it } from 'vitest'
import { timeline, totals } from '@esfuerzo/core'
import { parse, print } from '@esfuerzo/core/notation'
import { publish } from '@esfuerzo/core/publication'
import { library } from './sessions.ts'

it('is read, timed, printed and sent home', () => {
  const { workout: session, problems } = parse('# Fog\\n## Main\\nwait 25 s\\nsquat 10\\n', library)
  expect(problems).toEqual([])
  expect(session.sections[0]!.blocks.map((b) => b.form)).toEqual(['wait', 'list'])
  const group = session.groups[0]!
  const steps = timeline(session, group.id, library)
  expect(totals(steps, group, library).session.talk).toBe(25)
  expect(print(session, library)).toContain('wait 25 s')
  expect(publish(session, library).lanes[0]!.steps[0]!.seconds.typical).toBe(25)
})
`,
    )
    compile()
    run('vue-tsc', '-p', 'web')
    run('vitest', 'run', '--project', 'web', 'web/test/playerForms.test.ts')
    run(
      'vitest',
      'run',
      '--project',
      'core',
      'core/test/wait.test.ts',
      'core/test/properties.test.ts',
      'core/test/everyCodeIsSaid.test.ts',
      'core/test/notation.test.ts',
    )
  },
}
