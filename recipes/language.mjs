/** *A language for families*: what the compilers ask for is what the recipe names. */
export const language = {
  title: 'a language for families',
  follow({ replace, asked, expectSame }) {
    replace('core/src/terms/language.ts', "['en', 'es'] as const", "['en', 'es', 'pt'] as const")
    expectSame(asked(), [
      'core/src/forms/measure/sheet.ts',
      'core/src/words/care.ts',
      'core/src/words/checks.ts',
      'core/src/words/fixes.ts',
      'core/src/words/formWords.ts',
      'core/src/words/parts.ts',
      'core/src/words/say.ts',
      'server/src/sheets/words.ts',
      'web/src/handout/laneCaptions.ts',
    ])
  },
}
