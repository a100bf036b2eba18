import { plainTraits, type FormTraits } from '../../session/plainTraits.ts'
import type { ListBlock } from './schema.ts'

/** One after the other, in the teacher's order. */
export const listTraits: FormTraits<ListBlock> = {
  ...plainTraits,
  freeOrder: true,
  dose: 'open',
  goesWithoutSaying: ({ stations, title, note, travel, restAfter }) =>
    stations.length > 0 && !title && !note && !travel && restAfter.all === 0 && !restAfter.by,
  plainRows: true,
}
