import { measuredIn } from './measuredIn.ts'
import type { Play } from './playSchema.ts'
import type { Publication, PublishedMeasure } from './schema.ts'

/** The test that a block measures; undefined for other blocks, and in sessions sent home before they carried their tests. */
export function measureOf(
  { measures }: Pick<Publication, 'measures'>,
  play: Play | undefined,
): PublishedMeasure | undefined {
  const test = measuredIn(play)?.test
  return test === undefined ? undefined : measures?.find((m) => m.id === test)
}
