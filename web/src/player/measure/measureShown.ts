import { type Publication, type PublishedMeasure } from '@esfuerzo/core/publication'

/** For sessions sent home before they carried their tests: the instructions of three tests. */
const before: Record<string, Pick<PublishedMeasure, 'unit' | 'clock' | 'figure'>> = {
  sitAndReach: { unit: 'score', clock: { kind: 'none' }, figure: 'seated-reach' },
  hold: { unit: 'seconds', clock: { kind: 'up' }, figure: '' },
  reps30: { unit: 'reps', clock: { kind: 'down', seconds: 30 }, figure: '' },
}

/**
 * How a test is done, as a session carries it; for older sessions in the page's own words.
 *
 * @param said a text of the page's
 */
export function measureShown(
  { measures }: Pick<Publication, 'measures'>,
  test: string,
  said: (key: string) => string,
): PublishedMeasure | undefined {
  const carried = measures?.find((m) => m.id === test)
  if (carried) return carried
  const known = before[test]
  return (
    known && {
      id: test,
      name: '',
      trials: 1,
      score: 'best',
      in: said(`player.measure.unit.${test}`),
      range: { from: -100, to: 999, step: 0.1 },
      better: 'higher',
      setUps: [],
      steps: [said(`player.measure.${test}`)],
      ends: '',
      cautions: [],
      shoes: 'any',
      ...known,
    }
  )
}
