import type { Block } from './forms.ts'

/** What others ask of a form, answered by the form itself: nobody else looks at which form a block has. */
export interface FormTraits<B extends Block> {
  /** Whether the order of its stations is the teacher's to choose, and nothing else hangs on it. */
  freeOrder: boolean
  /** Whether a group comes round to the first station again. */
  comesRound: (block: B, groupId: string) => boolean
  /**
   * How many times a group comes to the stations: laps, rounds, sets, rungs; 1 where they are done once, or where chance or the
   * child says how often.
   *
   * @param groupId left out, what stands for all
   */
  laps: (block: B, groupId?: string) => number
  /** What going through it once is called, where that can be turned. */
  lapWord: 'laps' | 'sets' | 'rounds' | 'top'
  /** Where a row's seconds come from: the block's own clock, the row's dose, half a minute where it has none, or the form. */
  dose: 'clock' | 'own' | 'open' | 'form'
  /** Sets or rounds a row is done in, with whatever weight is in the hands. */
  sets?: (block: B, groupId: string) => number
  /** The block as it would go on if nothing but its work ended it; undefined where nothing else does. */
  withoutCap?: (block: B) => B
  /** Whether it explains what comes after it, and so goes before. */
  explains?: boolean
}

/** A form about which there is nothing to say. */
export const plainTraits = {
  freeOrder: false,
  comesRound: () => false,
  laps: () => 1,
  lapWord: 'rounds',
  dose: 'form',
} satisfies FormTraits<Block>
