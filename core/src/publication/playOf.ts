import { amrapPlay } from '../forms/amrap/play.ts'
import { chancePlay } from '../forms/chance/play.ts'
import { gamePlay } from '../forms/game/play.ts'
import { intervalsPlay } from '../forms/intervals/play.ts'
import { ladderPlay } from '../forms/ladder/play.ts'
import { levelsPlay } from '../forms/levels/play.ts'
import { measurePlay } from '../forms/measure/play.ts'
import { quizPlay } from '../forms/quiz/play.ts'
import { relayPlay } from '../forms/relay/play.ts'
import { roundsPlay } from '../forms/rounds/play.ts'
import { targetPlay } from '../forms/target/play.ts'
import type { Library } from '../library/library.ts'
import { performedBy } from '../library/versionFor.ts'
import type { Block, BlockOf, Form } from '../session/forms.ts'
import { cellAt, type Cell, type Station } from '../session/station.ts'
import type { Group } from '../terms/group.ts'
import { valueFor, type PerGroup } from '../terms/perGroup.ts'
import type { PlayFor } from './playFor.ts'
import type { Play, PlayedTurn } from './playSchema.ts'

/** What is played of each form; for the others the steps say everything. */
const formPlays: { [F in Form]?: PlayFor<BlockOf<F>> } = {
  amrap: amrapPlay,
  chance: chancePlay,
  game: gamePlay,
  intervals: intervalsPlay,
  ladder: ladderPlay,
  levels: levelsPlay,
  measure: measurePlay,
  quiz: quizPlay,
  relay: relayPlay,
  rounds: roundsPlay,
  target: targetPlay,
}

/** What a group plays in a block; undefined for forms whose steps say everything. */
export function playOf(block: Block, group: Group, library: Library): Play | undefined {
  const own = <T>(value: PerGroup<T>): T => valueFor(value, group.id)
  const ofCell = (cell: Cell, station?: Station): PlayedTurn => {
    const { dose } = cell
    return {
      ...(station && { station: station.id }),
      move: cell.move,
      version: cell.version,
      ...(station?.storyName && { story: station.storyName }),
      ...(dose && { amount: dose.amount, unit: dose.unit }),
      sides: performedBy(cell, library).sides,
    }
  }
  const turn = (station: Station) => ofCell(cellAt(own(station.cells), 1), station)
  const play = formPlays[block.form] as PlayFor<Block> | undefined
  return play?.(block, { group, library, own, turn, ofCell: (cell) => ofCell(cell) })
}
