// The rules that need types, over all TypeScript. Never from a cache: a cache does not know that another file's type changed.
// One program for all of them (tsconfig.lint.json) reads each file once, where a program a workspace reads the computation six times.
// Pages' scripts (.vue) are left to vue-tsc: linting them with types takes four minutes where all else takes half of one.
import tseslint from 'typescript-eslint'

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '.data/**',
      '.cache/**',
      'test-results/**',
      '**/*.js',
      '**/*.mjs',
      '**/*.vue',
      // Unit tests are awaited by their runner, and slow to look at; journeys, where a missing await hides a failure, are not left out.
      '**/test/**',
    ],
  },
  { linterOptions: { reportUnusedDisableDirectives: 'off' } },
  {
    files: ['**/*.ts'],
    languageOptions: {
      parser: tseslint.parser,
      parserOptions: { project: ['tsconfig.lint.json'], tsconfigRootDir: import.meta.dirname },
    },
    plugins: { '@typescript-eslint': tseslint.plugin },
    rules: {
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-for-in-array': 'error',
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { arguments: false, attributes: false } },
      ],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
)
