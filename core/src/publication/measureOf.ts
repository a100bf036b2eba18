import type { Play } from './playSchema.ts'
import type { Publication, PublishedMeasure } from './schema.ts'

/** The test that a block measures; undefined for other blocks, and in sessions sent home before they carried their tests. */
export const measureOf = (
  { measures }: Pick<Publication, 'measures'>,
  play: Play | undefined,
): PublishedMeasure | undefined => (play?.form === 'measure' ? measures?.find((m) => m.id === play.test) : undefined)
