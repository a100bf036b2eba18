import { aspects, floors } from './core/floors.js'
import { floors as serverFloors } from './server/floors.js'
import { floors as webFloors } from './web/floors.js'
import tseslint from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import a11y from 'eslint-plugin-vuejs-accessibility'

/** Which workspace may import which: the arrow in docs/architecture.md, enforced. Each pair is what a forbidden path looks like, and why. */
const mayNotImport = (files, pairs) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: pairs.map(([regex, message]) => ({ regex, message })) }] },
})

const inside = [
  '^@esfuerzo/(?!(?:core|plans)/[a-z]+$)[^/]+/(?!(family|words)$)',
  'a workspace is imported by its name; its inside is its own',
]

const coreAlone = ['^(?!\\.{1,2}/|zod(/mini)?$)', 'core depends on Zod and nothing else: no DOM, no Node, no network']
const filesOnFloor = (floor) => Object.keys(aspects).filter((aspect) => aspects[aspect] === floor)
/** What a floor of the computation may not know: those above it, and what forms have on them, which is reached by `way`. */
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

/** Whoever asks a block which form it has is asked to ask its traits instead. */
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

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', '.cache/**', 'test-results/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  ...a11y.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
  },
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // An interface names what a schema infers, so that declarations and messages need not write it out.
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
      'no-console': 'error',
      'no-control-regex': 'off',
      // What a page says stands in its words; here only signs, units and keys.
      'vue/no-bare-strings-in-template': [
        'error',
        {
          allowlist: [...'·–—…×/:()+−?!%✓→←↑↓,.⋮⠿•‹“”', 's', 'min', 'kg', 'Esfuerzo', ...'AMS'],
          attributes: {
            '/.+/': [
              'title',
              'aria-label',
              'aria-roledescription',
              'aria-valuetext',
              'label',
              'placeholder',
              'hint',
              'suffix',
            ],
            img: ['alt'],
          },
        },
      ],
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/attributes-order': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/require-default-prop': 'off',
      // Vuetify names its slots item.title and the like.
      'vue/valid-v-slot': ['error', { allowModifiers: true }],
      // The running order's and the shelf's keys are handled on the grid and the field, with a roving tabindex; axe looks at the result.
      'vuejs-accessibility/click-events-have-key-events': 'off',
      'vuejs-accessibility/interactive-supports-focus': 'off',
      // A dialog and a sign-in put the cursor into their first field.
      'vuejs-accessibility/no-autofocus': 'off',
      // A label wraps its field or names it by id; either is enough.
      'vuejs-accessibility/label-has-for': ['error', { required: { some: ['nesting', 'id'] } }],
    },
  },
  {
    files: [
      'scripts/**',
      'cli/**',
      'web/familySize.mjs',
      'bench/**',
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
    // What is longer or has more ways through it says why beside it.
    files: ['{core,contract,plans,server,cli,web}/src/**'],
    rules: {
      'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
      complexity: ['error', 20],
    },
  },
  {
    files: ['core/src/**', 'plans/src/**', 'web/src/**', 'server/src/**', 'cli/src/**'],
    ignores: [
      'core/src/forms/**',
      'web/src/forms/**',
      // Documents of the version before, as they were.
      'core/src/session/versionTwo.ts',
    ],
    rules: { 'no-restricted-syntax': ['error', ...formBranches] },
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
)
