import type { Block } from '../session/forms.ts'
import type { Cell, Station } from '../session/station.ts'
import type { Library } from '../library/library.ts'
import type { Group } from '../terms/group.ts'
import type { PerGroup } from '../terms/perGroup.ts'
import type { Play, PlayedTurn } from './playSchema.ts'

/** What a form's play is made from, for one group. */
export interface PlayMaker {
  group: Group
  library: Library
  /** The group's value. */
  own: <T>(value: PerGroup<T>) => T
  /** A station as the group does it. */
  turn: (station: Station) => PlayedTurn
  ofCell: (cell: Cell) => PlayedTurn
}

/** What a group plays in a block of a form; undefined if its steps say everything. */
export type PlayFor<B extends Block> = (block: B, make: PlayMaker) => Play | undefined
