/** *A move*: a squat like a gull, with its figure. The library's tests say what is missing. */
export const move = {
  title: 'a move',
  follow({ read, write, run }) {
    const path = 'library/moves/legs.json'
    const moves = JSON.parse(read(path))
    const [squat] = moves
    const versions = squat.versions.slice(1).map((v) => ({
      ...v,
      id: `gull-${v.id}`,
      name: `Gull: ${v.name}`,
      figure: 'gull-squat',
    }))
    moves.push({
      ...squat,
      id: 'gull-squat',
      name: 'Gull squat',
      builds: ['muscularEndurance'],
      synonyms: ['squat like a gull'],
      playName: undefined,
      versions,
      standard: `gull-${squat.standard}`,
      figure: 'gull-squat',
    })
    write(path, `${JSON.stringify(moves, null, 2)}\n`)
    const figures = JSON.parse(read('library/figures/standing.json'))
    const drawn = figures.find(({ id }) => id === 'squat')
    write('library/figures/standing.json', JSON.stringify([...figures, { ...drawn, id: 'gull-squat' }], null, 2))
    let missing = ''
    try {
      run('vitest', 'run', '--project', 'core', 'library/test')
    } catch (error) {
      missing = error.message
    }
    // Its Spanish names, and nothing else.
    if (!/Gull squat/.test(missing)) throw new Error(`the library's tests say nothing of its Spanish\n${missing}`)
    const words = JSON.parse(read('library/words/es.json'))
    const names = ['Gull squat', ...versions.map((v) => v.name)]
    write(
      'library/words/es.json',
      `${JSON.stringify({ ...words, ...Object.fromEntries(names.map((n, i) => [n, `Gaviota ${i}`])) }, null, 2)}\n`,
    )
    run('vitest', 'run', '--project', 'core', 'library/test')
  },
}
