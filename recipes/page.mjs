/** *A page* of the teacher's: one that says the hour. */
export const page = {
  title: 'a page',
  follow({ write, add, run, compile }) {
    write(
      'web/src/measures/HourPage.vue',
      `<script setup lang="ts">
import { useI18n } from 'vue-i18n'

/** What time it is on the island. */
const { t } = useI18n()
</script>

<template>
  <main class="page">
    <h1>{{ t('hour.title') }}</h1>
    <p class="quiet">{{ t('hour.lead') }}</p>
  </main>
</template>
`,
    )
    add(
      'web/src/shell/router.ts',
      '  routes: [',
      "    { path: '/hour', name: 'hour', component: () => import('../measures/HourPage.vue'), meta: { title: 'hour.title' } },",
    )
    add(
      'web/src/words/locales/en.json',
      /^\{$/,
      '  "hour": { "title": "The hour", "lead": "The time on the island." },',
    )
    add(
      'web/test/pseudoLanguage.test.ts',
      "import('../src/signin/SignUpPage.vue'),",
      "      import('../src/measures/HourPage.vue'),",
    )
    add('docs/guide.md', '<!-- views: tests, test, class -->', '<!-- views: hour -->')
    run('oxfmt', 'web/src', 'web/test')
    compile()
    run('vue-tsc', '-p', 'web')
    run('eslint', 'web/src/measures/*.vue', '--max-warnings', '0')
    run('oxlint', '-c', 'oxlint.config.js', 'web/src')
    run('vitest', 'run', '--project', 'web', 'web/test/pseudoLanguage.test.ts', '-t', 'at the door|asks for by name')
    run('vitest', 'run', '--project', 'web', 'web/test/guide.test.ts')
    run('vitest', 'run', '--project', 'core', 'core/test/webFloors.test.ts')
  },
}
