import tseslint from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import a11y from 'eslint-plugin-vuejs-accessibility'

// Templates of pages; their scripts, and all other code, are oxlint's (oxlint.config.js).
export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', '.cache/**', 'test-results/**'] },
  ...vue.configs['flat/recommended'],
  ...a11y.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
  },
  {
    rules: {
      // A page's text belongs in its words files; templates may only contain signs, units and keys.
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
      // The keys of the running order and the saved parts are handled on the grid and the field, with a roving tabindex; axe checks the
      // result.
      'vuejs-accessibility/click-events-have-key-events': 'off',
      'vuejs-accessibility/interactive-supports-focus': 'off',
      // A dialog and the sign-in page focus their first field.
      'vuejs-accessibility/no-autofocus': 'off',
      // A label wraps its field or names it by id; either is enough.
      'vuejs-accessibility/label-has-for': ['error', { required: { some: ['nesting', 'id'] } }],
    },
  },
)
