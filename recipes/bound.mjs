/** *A bound* of what a session holds: sets of anything, loaded or not. */
export const bound = {
  title: 'a bound',
  follow({ add, run, compile }) {
    add(
      'core/src/bounds/gradeBounds.ts',
      'export const loadedSets = 3',
      '\n/** Sets of one thing. Common practice, no source. */\nexport const anySets = 6',
    )
    add('core/src/bounds/blockBounds.ts', "  | 'loadedSets'", "  | 'anySets'")
    add(
      'core/src/bounds/blockBounds.ts',
      "line: 'loadedSets', value: sets",
      "  const all = traitsOf(block).sets?.(block, group.id)\n  if (all !== undefined) uses.push({ line: 'anySets', value: all, most: anySets })",
    )
    add('core/src/bounds/blockBounds.ts', "from '../terms/effort.ts'", "import { anySets } from './gradeBounds.ts'")
    add(
      'core/test/gradeBounds.test.ts',
      "describe('the limits of the grades'",
      "  it('sets of one thing', () => {\n    expect(uses('4-6', '7 rounds', 'squat 5')('anySets')).toEqual([7, 6])\n    expect(uses('4-6', '6 rounds', 'squat 5')('anySets')).toEqual([6, 6])\n  })\n",
    )
    compile()
    run('vitest', 'run', '--project', 'core', 'core/test/gradeBounds.test.ts')
  },
}
