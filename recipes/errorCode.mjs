/** *A code of an error*: what the compilers ask for is what the recipe names. */
export const errorCode = {
  title: 'a code of an error',
  follow({ add, asked, expectSame }) {
    add('contract/src/problemDocument.ts', '  ended: 410,', "  'too-late': 410,")
    expectSame(asked(), ['contract/src/errorWords.ts', 'contract/src/retryable.ts'])
  },
}
