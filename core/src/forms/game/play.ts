import type { PlayFor } from '../../publication/playFor.ts'
import type { GameBlock } from './schema.ts'

/** Shows the rules, and the task after a miss. */
export const gamePlay: PlayFor<GameBlock> = ({ setUp, rules, players, harder, onMiss }, { own, ofCell }) => ({
  form: 'game',
  setUp,
  rules,
  players,
  harder,
  ...(onMiss && { onMiss: ofCell(own(onMiss)) }),
})
