/** *A new check*: a title nobody can read from the back row. */
export const newCheck = {
  title: 'a new check',
  follow({ write, add, run, compile }) {
    add('core/src/checks/rule.ts', "  'long-talk',", "  'long-title',")
    write(
      'core/src/checks/rules/shape/longTitle.ts',
      `import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** A title nobody reads from the back row. */
export const longTitle: Rule = {
  id: 'long-title',
  level: 'note',
  family: 'shape',
  find: ({ session }) => {
    const most = limit('titleSigns', 2)
    return session.title.length > most ? [{ where: {}, groups: [], facts: { n: session.title.length, most } }] : []
  },
}
`,
    )
    add(
      'core/src/checks/registry.ts',
      "from './rules/shape/longTalk.ts'",
      "import { longTitle } from './rules/shape/longTitle.ts'",
    )
    add('core/src/checks/registry.ts', /^ {2}longTalk,$/, '  longTitle,')
    add(
      'core/src/checks/limits.ts',
      /^ {2}talk: \{/,
      "  titleSigns: { value: same(60), unit: 'letters', source: 'common practice, no source' },",
    )
    add('core/src/checks/sourcesOf.ts', "  'long-talk': ['talk'],", "  'long-title': ['titleSigns'],")
    const words = (title, what, why) =>
      [
        `  'long-title': {`,
        `    title: '${title}',`,
        `    what: (f) => \`${what}\`,`,
        `    why: '${why}',`,
        '  },',
      ].join('\n')
    const before = (language) => [`core/src/words/${language}/checks.ts`, 'Record<RuleId, RuleWords> = {']
    add(
      ...before('en'),
      words(
        'Long title',
        'A title of ${f.n} letters, where ${f.most} fit on a whiteboard.',
        'It is not read from the back row.',
      ),
    )
    add(
      ...before('es'),
      words(
        'Título largo',
        'Un título de ${f.n} letras; en la pizarra caben ${f.most}.',
        'No se lee desde la última fila.',
      ),
    )
    add(
      'core/test/checks.test.ts',
      'const cases: Record<RuleId,',
      "  'long-title': {\n    breaks: () => ({ ...session(head(22)), title: 'x'.repeat(61) }),\n    near: () => ({ ...session(head(22)), title: 'x'.repeat(60) }),\n  },",
    )
    compile()
    run('vitest', 'run', '--project', 'core', 'core/test/checks.test.ts')
    run('npm', 'run', '-s', 'checks')
  },
}
