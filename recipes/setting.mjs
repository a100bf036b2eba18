/** *A setting*: whether the school has a hall. */
export const setting = {
  title: 'a setting',
  follow({ add, replace, run, compile }) {
    const path = 'core/src/terms/settings.ts'
    add(
      path,
      '  checks: rulePoliciesSchema,',
      '  /** Whether there is a hall to try things in. */\n  hall: z.boolean(),',
    )
    replace(path, /version: z\.literal\((\d+)\)/, 'version: z.literal(5)')
    replace(path, /\n {2}version: \d+,\n {2}schema/, '\n  version: 5,\n  schema')
    add(path, '    3: (settings) =>', '    4: (settings) => ({ ...settings, hall: false }),')
    replace(
      path,
      '  asBefore: ({ checks, country, ...rest }) => {',
      '  asBefore: ({ hall, checks, country, ...rest }) => {\n    if (hall) return undefined',
    )
    replace(path, /\n {2}version: 4,\n {2}school/, '\n  version: 5,\n  school')
    add(path, '  readings: {},', '  hall: false,')
    add(
      'web/src/settings/SettingsPage.vue',
      '<h2 id="look">',
      '          <v-switch :model-value="draft.hall" :label="t(\'settings.field.hall\')" @update:model-value="set({ hall: $event === true })" />',
    )
    add('web/src/words/locales/en.json', /"weekStart": /, '      "hall": "There is a hall",')
    compile()
    run('vue-tsc', '-p', 'web')
    run('vitest', 'run', '--project', 'core', 'core/test/documents.test.ts')
    run('vitest', 'run', '--project', 'web', 'web/test/smallPages.test.ts')
    run('vitest', 'run', '--project', 'server', 'server/test/accounts.test.ts')
  },
}
