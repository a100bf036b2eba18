import { defineConfig } from 'oxlint'
import { aspects, floors } from './core/floors.js'
import { floors as serverFloors } from './server/floors.js'
import { floors as webFloors } from './web/floors.js'

/**
 * Which workspace may import which: the arrows in docs/architecture.md, enforced. Each pair is a pattern of a forbidden path, and the
 * reason.
 */
const mayNotImport = (files, pairs) => ({
  files,
  rules: {
    'eslint-js/no-restricted-imports': ['error', { patterns: pairs.map(([regex, message]) => ({ regex, message })) }],
  },
})

const inside = [
  '^@esfuerzo/(?!(?:core|plans)/[a-z]+$)[^/]+/(?!(family|words)$)',
  'a workspace is imported by its name; its inside is its own',
]

const coreAlone = ['^(?!\\.{1,2}/|zod(/mini)?$)', 'core depends on Zod and nothing else: no DOM, no Node, no network']
const filesOnFloor = (floor) => Object.keys(aspects).filter((aspect) => aspects[aspect] === floor)
/** What a layer of the core must not import: the layers above it, and the forms' files on those, which are reached through `way`. */
function above(later, way) {
  if (later.length === 0) return []
  const names = later.map(([name]) => name)
  const files = names.flatMap(filesOnFloor).map((file) => file.replaceAll('.', '\\.'))
  const why = 'a floor knows those below it only: core/floors.js'
  return [
    [`^(\\.\\./)+(${names.join('|')})/`, why],
    ...(files.length ? [[`${way}(?:${files.join('|')})\\.ts$`, why]] : []),
  ]
}

const serverAlone = [['^@esfuerzo/(web|cli)', 'the server does not know the pages'], inside]

/** Code that asks a block for its form must ask for its traits instead. */
const formBranches = [
  "BinaryExpression[operator=/^[!=]==$/][left.property.name='form'][right.type='Literal']",
  "SwitchStatement[discriminant.property.name='form']",
  "BinaryExpression[operator=/^[!=]==$/][left.type='ChainExpression'][left.expression.property.name='form'][right.type='Literal']",
  "BinaryExpression[operator=/^[!=]==$/][left.name='form'][right.type='Literal']",
  "SwitchStatement[discriminant.name='form']",
].map((selector) => ({
  selector,
  message: 'a form answers by its traits or its own files: core/src/session/plainTraits.ts',
}))

/** `of` reads as a word of the language and says nothing. */
const namedOf = [
  "VariableDeclarator[id.name='of']",
  ":function > Identifier.params[name='of']",
  ":function > AssignmentPattern.params[left.name='of']",
].map((selector) => ({ selector, message: 'name what it holds' }))

export default defineConfig({
  plugins: ['typescript'],
  // Rules of ESLint's that are not built in, or know less here: regular expressions that look ahead.
  jsPlugins: [{ name: 'eslint-js', specifier: 'oxlint-plugin-eslint' }],
  categories: { correctness: 'off' },
  options: { typeAware: true },
  ignorePatterns: ['**/dist/**', '**/node_modules/**', '.data/**', '.cache/**', 'test-results/**'],
  rules: {
    'eslint-js/no-restricted-syntax': ['error', ...namedOf],
    'no-array-constructor': 'error',
    'no-console': 'error',
    'no-unused-expressions': 'error',
    'no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    'no-var': 'error',
    'prefer-const': 'error',
    'prefer-rest-params': 'error',
    'prefer-spread': 'error',
    'typescript/ban-ts-comment': 'error',
    'typescript/consistent-type-imports': 'error',
    'typescript/no-duplicate-enum-values': 'error',
    // An interface names what a schema infers, so that declarations and messages do not expand it.
    'typescript/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
    'typescript/no-explicit-any': 'error',
    'typescript/no-extra-non-null-assertion': 'error',
    'typescript/no-misused-new': 'error',
    'typescript/no-namespace': 'error',
    'typescript/no-non-null-asserted-optional-chain': 'error',
    'typescript/no-require-imports': 'error',
    'typescript/no-this-alias': 'error',
    'typescript/no-unnecessary-type-constraint': 'error',
    'typescript/no-unsafe-declaration-merging': 'error',
    'typescript/no-unsafe-function-type': 'error',
    'typescript/no-wrapper-object-types': 'error',
    'typescript/prefer-as-const': 'error',
    'typescript/prefer-namespace-keyword': 'error',
    'typescript/triple-slash-reference': 'error',
  },
  overrides: [
    {
      // Rules that need types. Scripts of pages (.vue) are left to vue-tsc.
      files: ['**/*.ts'],
      rules: {
        'typescript/await-thenable': 'error',
        'typescript/no-floating-promises': 'error',
        'typescript/no-for-in-array': 'error',
        'typescript/no-misused-promises': ['error', { checksVoidReturn: { arguments: false, attributes: false } }],
        'typescript/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      },
    },
    {
      files: [
        'scripts/**',
        'cli/**',
        'web/familySize.mjs',
        'bench/**',
        'recipes/**',
        'faults/**',
        'e2e/**',
        'server/src/main.ts',
        'server/src/demo/**',
        'server/src/backup/restored.ts',
        'server/src/backup/rekeyed.ts',
        'server/src/backup/sayLinks.ts',
      ],
      rules: { 'no-console': 'off' },
    },
    mayNotImport(['core/src/*.ts'], [coreAlone]),
    ...floors.flatMap(([floor], i) => {
      const later = floors.slice(i + 1)
      return [
        mayNotImport([`core/src/${floor}/**`], [coreAlone, ...above(later, 'forms/[a-z]+/')]),
        ...filesOnFloor(floor).map((file) =>
          mayNotImport([`core/src/forms/*/${file}.ts`], [coreAlone, ...above(later, '^(?:\\./|\\.\\./[a-z]+/)')]),
        ),
      ]
    }),
    {
      files: ['core/src/**'],
      rules: {
        'no-restricted-globals': [
          'error',
          ...['Date', 'performance', 'setTimeout', 'setInterval', 'fetch', 'window', 'document', 'process'].map(
            (name) => ({ name, message: 'core takes clock, timers and the world as arguments' }),
          ),
        ],
        'no-restricted-properties': [
          'error',
          { object: 'Math', property: 'random', message: 'chance takes its seed from the block' },
        ],
      },
    },
    {
      // A longer or more complex function must say why next to it.
      files: ['{core,contract,plans,server,cli,web}/src/**'],
      rules: {
        'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
        complexity: ['error', 20],
      },
    },
    {
      files: ['core/src/**', 'plans/src/**', 'web/src/**', 'server/src/**', 'cli/src/**'],
      excludeFiles: [
        'core/src/forms/**',
        'web/src/forms/**',
        // Documents of the previous version, unchanged.
        'core/src/session/versionTwo.ts',
      ],
      rules: { 'eslint-js/no-restricted-syntax': ['error', ...namedOf, ...formBranches] },
    },
    mayNotImport(['library/*.ts'], [['^@esfuerzo/(?!core(?:/|$))', 'the library is data; it knows core’s types only']]),
    mayNotImport(
      ['contract/src/**'],
      [
        ['^@esfuerzo/(?!core(?:/|$))', 'the contract knows core only'],
        ['^node:', 'the contract runs in pages too'],
      ],
    ),
    mayNotImport(
      ['plans/src/**'],
      [
        ['^@esfuerzo/(?!core(?:/|$))', 'files of other programs know core only'],
        ['^node:', 'they are read in pages too'],
      ],
    ),
    mayNotImport(['server/src/*.ts'], [...serverAlone]),
    ...serverFloors.map(([floor], i) => {
      const later = serverFloors.slice(i + 1).map(([name]) => name)
      const why = 'a floor knows those below it only: server/floors.js'
      return mayNotImport(
        [`server/src/${floor}/**`],
        [
          ...serverAlone,
          [
            `^(\\.\\./)+(?:${later
              .map((name) => `${name}/`)
              .concat('[A-Za-z]+\\.ts$')
              .join('|')})`,
            why,
          ],
        ],
      )
    }),
    mayNotImport(
      ['cli/src/**'],
      [['^@esfuerzo/(web|server|contract)', 'the command line is over core, library and plans'], inside],
    ),
    ...webFloors.map(([floor], i) => {
      const later = webFloors.slice(i + 1).map(([name]) => name)
      const why = 'a floor knows those below it only: web/floors.js'
      return mayNotImport(
        [`web/src/${floor}/**`],
        [
          ['^(@esfuerzo/(server|cli)|node:)', 'pages reach the server through the contract'],
          inside,
          ...(later.length ? [[`^(\\.\\./)+(${later.join('|')})/`, why]] : []),
        ],
      )
    }),
    mayNotImport(
      ['web/src/forms/**'],
      [['^(@esfuerzo/(server|cli)|node:)', 'pages reach the server through the contract'], inside],
    ),
    mayNotImport(
      [
        'web/src/family/**',
        'web/src/player/**',
        'web/src/forms/{plays,noted,formPlay,formScreen}.ts',
        'web/src/forms/*/{play,noted}.ts',
        'web/src/forms/*/*Play.vue',
      ],
      [
        ['^(vuetify|vue-i18n|echarts|pinia|@esfuerzo/library)', 'family pages stay small'],
        ['^(@esfuerzo/(server|cli)|node:)', 'pages reach the server through the contract'],
        [
          '^(\\.\\./)+(?!\\.\\./|shared/|player/|forms/(?:plays|noted)\\.ts$|[A-Za-z]+\\.(ts|vue)$)',
          'family pages share only web/src/shared, the player and the forms as they are played',
        ],
        inside,
      ],
    ),
  ],
})
