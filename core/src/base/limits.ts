/**
 * The largest session allowed, well above anything a teacher has been known to plan: a larger document is a mistake or an attack (ours).
 */
export const limits = {
  sections: 12,
  blocks: 40,
  stations: 200,
  groups: 6,
  laps: 30,
  /** Vocabulary words in one session. */
  words: 6,
  /** A teacher's own exercises in one session. */
  ownMoves: 40,
  /** Checks that a teacher ignored. */
  answers: 100,
  /** Steps of one lane: no child does so many, and no server or phone has to compute more. */
  steps: 3000,
  /** A publication as JSON, in bytes of UTF-8. */
  sentBytes: 4 * 1024 * 1024,
  /** Lines of a whiteboard text. */
  lines: 2000,
  /** Mistakes of a text that are reported one by one. */
  mistakes: 100,
  /** The whole document as JSON, in bytes of UTF-8. */
  bytes: 512 * 1024,
  /** One line of text: a title, a name. */
  line: 120,
  /** Several lines of text: a note, a target. */
  paragraph: 1000,
  /** The longest timed stretch, in seconds: one hour. */
  seconds: 3600,
} as const
