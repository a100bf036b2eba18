import { newBlock, type Block, type Form } from '../session/forms.ts'

/**
 * The block a text starts: without the default rests of the composer, because a rest the text does not mention is zero.
 *
 * @example blockAsRead('rounds', 'b1').restBetween // { all: 0 }, where newBlock.rounds('b1') has 60
 */
export function blockAsRead(form: Form, id: string): Block {
  const block = newBlock[form](id) as Block
  const rests = ['restBetween', 'restStations'].filter((key) => key in block)
  return { ...block, ...Object.fromEntries(rests.map((key) => [key, { all: 0 }])) } as Block
}
