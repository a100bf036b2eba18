/** *A measure*: how long a hum lasts. */
export const measure = {
  title: 'a measure',
  follow({ add, read, write, run, asked, expectSame }) {
    add('core/src/terms/measure.ts', "  'reps30',", "  'hum',")
    const asks = ['core/src/notation/commonFacts.ts', 'core/src/words/en/say.ts', 'core/src/words/es/say.ts']
    expectSame(asked(), asks)
    add(asks[0], '  reps30: [', "  hum: ['hum', 'hum'],")
    add(asks[1], '  reps30: ', "  hum: 'How long you hum',")
    add(asks[2], '  reps30: ', "  hum: 'Cuánto tarareas',")
    expectSame(asked(), [])
    const path = 'library/measures/holds.json'
    const tests = JSON.parse(read(path))
    const hold = tests.find(({ id }) => id === 'plankHold')
    write(path, JSON.stringify([...tests, { ...hold, id: 'hum', name: 'Long hum' }], null, 2))
    let missing = ''
    try {
      run('vitest', 'run', '--project', 'core', 'library/test')
    } catch (error) {
      missing = error.message
    }
    // Its Spanish name, and nothing else.
    if (!/Long hum/.test(missing)) throw new Error(`the library's tests say nothing of its Spanish\n${missing}`)
    const words = JSON.parse(read('library/words/es.json'))
    write('library/words/es.json', JSON.stringify({ ...words, 'Long hum': 'Tarareo largo' }, null, 2))
    run('vitest', 'run', '--project', 'core', 'library/test')
  },
}
