import type { Play, PlayOf } from './playSchema.ts'

/** What a played block measures; undefined if it measures nothing. */
export const measuredIn = (play: Play | undefined): PlayOf<'measure'> | undefined =>
  // oxlint-disable-next-line eslint-js/no-restricted-syntax -- asked here for everybody who reads what was sent home
  play?.form === 'measure' ? play : undefined
